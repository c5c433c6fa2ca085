/* What is typed stays in this browser until the server took it; what did not get through is sent
   again by itself. A form's own request key goes with it, so that nothing is taken twice. */
import { say } from "./say.js";
import { wait } from "./waiting.js";

const DAYS_KEPT = 7;
const ASK_MS = 1500;
const SENT = "jexel.sent";
const who = () => (document.querySelector(".who") || { textContent: "" }).textContent;
const place = (form) =>
  `jexel.kept ${who()} ${new URL(form.getAttribute("action") || "", window.location).pathname}`;
const keeps = (form) => form && form.method === "post" && !form.querySelector("[type=password], [type=file]");
const typable = (field) => field.name && !["hidden", "submit", "button"].includes(field.type);

const read = (form) =>
  [...form.elements]
    .filter(typable)
    .filter((field) => !["radio", "checkbox"].includes(field.type) || field.checked)
    .map((field) => [field.name, field.value]);

const keep = (form) => {
  if (!keeps(form)) return;
  const key = form.elements.requestKey ? form.elements.requestKey.value : "";
  try {
    localStorage.setItem(place(form), JSON.stringify({ fields: read(form), key, at: Date.now() }));
  } catch (full) {
    /* A browser without room keeps the field alone. */
  }
};
const taken = (form) => {
  if (keeps(form)) localStorage.removeItem(place(form));
};

document.addEventListener(
  "input",
  (event) => {
    const form = event.target.form;
    if (!keeps(form)) return;
    waits.delete(form);
    // What is typed anew is another request than the one that was kept.
    if (form.dataset.ownKey && form.elements.requestKey) {
      form.elements.requestKey.value = form.dataset.ownKey;
      delete form.dataset.ownKey;
    }
    keep(form);
  },
  true,
);

const fill = (form, kept) => {
  let differs = false;
  const values = new Map(kept.fields);
  [...form.elements].filter(typable).forEach((field) => {
    const marks = ["radio", "checkbox"].includes(field.type);
    const wanted = marks
      ? kept.fields.some(([name, value]) => name === field.name && value === field.value)
      : values.get(field.name);
    if (wanted === undefined || (marks ? field.checked : field.value) === wanted) return;
    differs = true;
    if (marks) field.checked = wanted;
    else field.value = wanted;
  });
  if (differs && kept.key && form.elements.requestKey) {
    form.dataset.ownKey = form.elements.requestKey.value;
    form.elements.requestKey.value = kept.key;
  }
  return differs;
};

const restore = () => {
  let any = false;
  [...document.forms].filter(keeps).forEach((form) => {
    const stored = localStorage.getItem(place(form));
    if (!stored) return;
    const kept = JSON.parse(stored);
    if (Date.now() - kept.at > DAYS_KEPT * 86400000) {
      localStorage.removeItem(place(form));
    } else {
      any = fill(form, kept) || any;
    }
  });
  if (any) say("What you typed did not get through. It stands here again.");
};

/* Forms that are not swapped: any page but the one that waits is their answer. */
const sent = sessionStorage.getItem(SENT);
if (sent) {
  sessionStorage.removeItem(SENT);
  localStorage.removeItem(sent);
}
document.addEventListener("submit", (event) => {
  if (keeps(event.target) && !event.target.hasAttribute("hx-post")) {
    sessionStorage.setItem(SENT, place(event.target));
  }
});

const waiting = new Map();
let asking = false;
const ask = async () => {
  asking = true;
  let ready = false;
  try {
    ready = (await fetch("/ready", { cache: "no-store" })).ok;
  } catch (gone) {
    /* The server is away as well. */
  }
  if (!ready) {
    setTimeout(ask, ASK_MS);
    return;
  }
  asking = false;
  const again = [...waiting.values()];
  waiting.clear();
  // A draft that comes after the record of its form would stand there again.
  again
    .filter((one) => !one.draft || !again.some((other) => !other.draft && other.form === one.form))
    .forEach((one) => one.send());
};
const later = (form, elt, path, submitter) => {
  const draft = path.endsWith("/draft");
  const send = () => {
    if (!form.isConnected) return;
    if (draft) elt.dispatchEvent(new Event("change", { bubbles: true }));
    else form.requestSubmit(submitter && submitter.isConnected ? submitter : undefined);
  };
  waiting.set(path, { form, draft, send });
  if (!asking) setTimeout(ask, ASK_MS);
  if (!asking) asking = true;
};
const WAITS = "Kept on this phone.";
const waits = new WeakSet();
/* A record needs no open page: it waits, and the form is free for the next one. */
const queue = async (form, submitter) => {
  try {
    await wait(form, submitter);
    taken(form);
    form.reset();
    waits.add(form);
    say(WAITS);
  } catch (full) {
    later(form, form, new URL(form.action).pathname, submitter);
    say("The server cannot keep it now. It stays here and is sent again by itself.");
  }
};
const failed = (event) => {
  const { elt, requestConfig, xhr } = event.detail;
  const form = elt.closest("form");
  const silent = xhr.status === 0 || (xhr.status >= 502 && xhr.status <= 504);
  if (requestConfig.verb !== "post" || !form || !silent) return;
  keep(form);
  const trigger = requestConfig.triggeringEvent;
  const submitter = trigger ? trigger.submitter : null;
  if (form.dataset.waits && requestConfig.path === new URL(form.action).pathname) {
    queue(form, submitter);
    return;
  }
  // What will wait once it is recorded is kept here meanwhile: nothing to send.
  if (form.dataset.waits && requestConfig.path.endsWith("/draft")) {
    if (waits.has(form)) say(WAITS);
    return;
  }
  later(form, elt, requestConfig.path, submitter);
  say("The server cannot keep it now. It stays here and is sent again by itself.");
};
document.addEventListener("htmx:sendError", failed);
document.addEventListener("htmx:timeout", failed);
document.addEventListener("htmx:responseError", failed);
document.addEventListener("htmx:afterRequest", (event) => {
  const form = event.detail.elt.closest("form");
  if (event.detail.successful && event.detail.requestConfig.verb === "post" && form) taken(form);
});

document.addEventListener("DOMContentLoaded", restore);
