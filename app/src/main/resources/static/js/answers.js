/* What becomes of an answer: it is swapped in, and nothing that was typed since is lost to it. That a
   draft waits for the one before it, and a record does not, is said by hx-sync in the templates. */
import { say } from "./say.js";

if (window.Idiomorph) {
  // What is being typed is never replaced under the finger.
  window.Idiomorph.defaults.ignoreActiveValue = true;
}

/* What was typed after a request left is newer than its answer, however late that comes. */
let turn = 0;
const typed = new WeakMap();
const sent = new WeakMap();
const type = (event) => typed.set(event.target, ++turn);
document.addEventListener("input", type, true);
document.addEventListener("change", type, true);
document.addEventListener("htmx:beforeSend", (event) => sent.set(event.detail.xhr, ++turn));

const FIELDS = "input:not([type=hidden]), select, textarea";
let newer = [];
document.addEventListener("htmx:beforeSwap", (event) => {
  const left = sent.get(event.detail.xhr);
  newer = [...document.querySelectorAll(FIELDS)]
    .filter((field) => typed.get(field) > left)
    .map((field) => [field, field.value, field.checked]);
});
document.addEventListener("htmx:afterSwap", () => {
  newer.forEach(([field, value, checked]) => {
    field.value = value;
    field.checked = checked;
  });
  newer = [];
});

/* From the press on, a form's drafts are what it records anyway. One that came later would wait in the
   record's place, of which there is one alone, and push it out. */
const recording = new WeakSet();
document.addEventListener("submit", (event) => recording.add(event.target), true);
["htmx:afterRequest", "htmx:validation:halted"].forEach((name) => {
  document.addEventListener(name, (event) => recording.delete(event.target));
});
document.addEventListener("htmx:confirm", (event) => {
  const { elt, path } = event.detail;
  if (path.endsWith("/draft") && recording.has(elt.closest("form"))) event.preventDefault();
});

/* A part that is being moved keeps the focus; any other form gives it up when it is sent. */
const keepsFocus = (form) => form.id === "move-form";
document.addEventListener(
  "submit",
  (event) => {
    if (!keepsFocus(event.target) && document.activeElement.matches("input")) {
      document.activeElement.blur();
    }
  },
  true,
);

/* After a record the hand goes on: to the field that asks, else to the next act, else to what the page
   shows now. Who has gone on by hand meanwhile, with Tab or a finger, is left where they are. */
const goneOn = (form, trigger) => {
  const on = document.activeElement;
  const pressed = trigger && trigger.type === "submit" && form.contains(on);
  return on !== document.body && !pressed;
};
document.addEventListener("htmx:afterSettle", (event) => {
  const { elt, verb, triggeringEvent } = event.detail.requestConfig;
  const record = elt.matches("form") && verb === "post" && !keepsFocus(elt);
  if (!record || goneOn(elt, triggeringEvent)) return;
  const asks = document.querySelector(".do [aria-invalid=true]");
  const next = asks || document.getElementById("next-act");
  if (next) {
    next.focus({ preventScroll: true });
  } else {
    document.querySelector("h1").focus();
  }
});

/* An answer that is no page of ours is not shown as one. */
document.addEventListener("htmx:beforeSwap", (event) => {
  const answer = event.detail.xhr;
  if (answer.responseURL.includes("/sign-in")) {
    event.detail.shouldSwap = false;
    window.location.assign("/sign-in");
  } else if (!answer.responseText.includes('id="page"')) {
    event.detail.shouldSwap = false;
    say("Not taken. What you typed is still here; try again.");
  }
});
document.addEventListener("htmx:sendError", () => {
  say("The server does not answer. What you typed is still here.");
});
document.addEventListener("htmx:responseError", (event) => {
  say(
    event.detail.xhr.status === 403
      ? "Your role may look, not change."
      : "Not taken. What you typed is still here; try again.",
  );
});
