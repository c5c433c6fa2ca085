/* Sends what waits, each once and in order, and always says how many wait, and of a photograph how
   much of it is sent. The key of each goes with it, so that one which got through before the line
   broke is not taken twice. */
import { all, change, drop, follow } from "./waiting.js";

const ASK_MS = 5000;
const LONGEST_MS = 180000;
const HEADS = { headers: { Accept: "application/json" }, cache: "no-store" };
const clock = (at) =>
  new Date(at).toLocaleString("en-GB", {
    day: "numeric",
    month: "short",
    hour: "2-digit",
    minute: "2-digit",
  });
let held = "";
let part = "";
let shown = [];

const bar = document.createElement("section");
bar.id = "queue";
bar.hidden = true;
bar.setAttribute("aria-label", "What waits on this phone");
bar.innerHTML = `<p role="status"></p><details><summary>Show</summary><ul></ul></details>`;
const said = bar.querySelector("p");
const header = document.querySelector("header.top");
if (header) header.after(bar);
else document.body.prepend(bar);

const row = (entry) => {
  const item = document.createElement("li");
  const what = document.createElement("span");
  what.textContent = `${entry.words}, ${entry.path.split("/")[2]}, ${clock(entry.at)}`;
  item.append(what);
  if (entry.why) {
    const why = document.createElement("b");
    why.textContent = `Not taken. ${entry.why}`;
    const away = document.createElement("button");
    away.type = "button";
    away.className = "act quiet";
    away.textContent = "Let it go";
    away.addEventListener("click", () => drop(entry.id));
    const again = document.createElement("button");
    again.type = "button";
    again.className = "act quiet";
    again.textContent = "Send it again";
    again.addEventListener("click", () => change({ ...entry, why: "" }).then(sendNow));
    item.append(why, again, away);
  }
  return item;
};

const render = (entries) => {
  shown = entries;
  const waiting = entries.filter((entry) => !entry.why).length;
  const refused = entries.length - waiting;
  bar.hidden = !entries.length;
  bar.classList.toggle("refused", refused > 0);
  const parts = [];
  if (waiting)
    parts.push(
      `${waiting} ${waiting === 1 ? "waits" : "wait"} on this phone. ${held || "Sent by itself when the server is reached."}`,
    );
  if (part) parts.push(part);
  if (refused) parts.push(`${refused} ${refused === 1 ? "was" : "were"} not taken.`);
  said.textContent = parts.join(" ");
  bar.querySelector("ul").replaceChildren(...entries.map(row));
};
const hold = (why) => {
  held = why;
  render(shown);
};

/* Who is signed in here, or null: no line, or nobody. */
const who = async () => {
  const answer = await fetch("/me/who", { ...HEADS, redirect: "manual" });
  if (answer.type === "opaqueredirect" || answer.status === 401) {
    hold("Sign in, and it is sent.");
    return null;
  }
  return answer.ok ? answer.json() : null;
};

const body = (entry, token) => {
  const form = entry.photo ? new FormData() : new URLSearchParams();
  entry.fields.forEach(([name, value]) => form.append(name, value));
  form.set("ago", Math.max(0, Date.now() - entry.at));
  form.set("_csrf", token);
  if (entry.photo) form.set("photo", entry.photo, "photo");
  return form;
};

/* What fetch answers, with the way of the bytes, which fetch does not tell. */
const upload = (path, form) =>
  new Promise((taken, lost) => {
    const request = new XMLHttpRequest();
    request.upload.addEventListener("progress", (event) => {
      part = `${Math.round((100 * event.loaded) / event.total)} % of the next one is sent.`;
      render(shown);
    });
    request.addEventListener("load", () => {
      const elsewhere = new URL(request.responseURL).pathname !== path;
      taken({
        type: elsewhere ? "opaqueredirect" : "basic",
        ok: request.status === 200,
        status: request.status,
        json: () => JSON.parse(request.responseText),
      });
    });
    // A line that hangs holds up all that waits behind it.
    request.timeout = LONGEST_MS;
    request.addEventListener("timeout", lost);
    request.addEventListener("error", lost);
    request.addEventListener("loadend", () => {
      part = "";
    });
    request.open("POST", path);
    request.setRequestHeader("Accept", "application/json");
    request.send(form);
  });

const WHY = {
  403: "Your role may look, not change.",
  413: "It is larger than 16 MB. Take it smaller.",
  500: "The server cannot make anything of it.",
};

/* Whether it is settled, one way or the other; false where the server was not reached. */
const send = async (entry, token) => {
  const form = body(entry, token);
  const answer = entry.photo
    ? await upload(entry.path, form)
    : await fetch(entry.path, { ...HEADS, method: "POST", body: form, redirect: "manual" });
  if (answer.type === "opaqueredirect" || answer.status === 401 || answer.status > 500) return false;
  // What breaks the server each time holds nothing up behind it; anything but a picture is tried on.
  if (answer.status === 500 && !entry.photo) return false;
  if (answer.ok) {
    const told = await answer.json();
    if (told.taken) await drop(entry.id);
    else await change({ ...entry, why: told.why });
  } else {
    await change({ ...entry, why: WHY[answer.status] || "The job, or its check, is not there any more." });
  }
  return true;
};

const sendAll = async () => {
  const sent = [];
  const mine = (await all()).filter((entry) => !entry.why);
  if (!mine.length) return sent;
  const person = await who();
  if (!person) return sent;
  hold("");
  for (const entry of mine) {
    if (entry.who !== person.signIn) {
      hold(`It waits for ${entry.who} to sign in.`);
    } else if (await send(entry, person.token)) {
      sent.push(entry);
    } else {
      break;
    }
  }
  return sent;
};

let sending = false;
const flush = async () => {
  if (sending) return [];
  sending = true;
  try {
    const once = () => sendAll();
    return await (navigator.locks ? navigator.locks.request("jexel-send", once) : once());
  } catch (away) {
    hold("");
    return [];
  } finally {
    sending = false;
  }
};

/* Photographs show in their own places: the rest of the page may be in the middle of something. */
const afreshStrips = () =>
  document.querySelectorAll(".strip").forEach((strip) =>
    window.htmx.ajax("GET", window.location.href, {
      target: `#${strip.id}`,
      select: `#${strip.id}`,
      swap: "outerHTML",
    }),
  );
/* What was sent shows on the page that it belongs to. */
const afresh = (sent) => {
  if (document.querySelector(".strip") && sent.every((entry) => entry.photo)) {
    afreshStrips();
    return;
  }
  const page = document.getElementById("page");
  if (page && window.htmx)
    window.htmx.ajax("GET", window.location.href, {
      target: "#page",
      select: "#page",
      swap: "morph:outerHTML",
    });
  else if (document.querySelector("[data-afresh]")) window.location.reload();
};
/** Sends what waits, if it can. */
export const sendNow = async () => {
  const sent = await flush();
  if (sent.length) afresh(sent);
};

follow(render).then(sendNow);
window.addEventListener("online", sendNow);
setInterval(() => {
  if (shown.some((entry) => !entry.why)) sendNow();
}, ASK_MS);
