/* What waits on this phone until the server is reached: a store in this browser, oldest first. */
import { openDB } from "/webjars/idb/build/index.js";

const STORE = "waiting";
const open = () =>
  openDB("jexel", 1, {
    upgrade: (db) => db.createObjectStore(STORE, { keyPath: "id", autoIncrement: true }),
  });
let opened = null;
const store = () => {
  opened = opened || open();
  return opened;
};
const heard = [];
const tell = async () => {
  const entries = await all();
  heard.forEach((listener) => listener(entries));
};

export const all = async () => (await store()).getAll(STORE);
/** Kept when this promise is: only then may a page say so. */
export const add = async (entry) => {
  await (await store()).add(STORE, entry);
  await tell();
};
export const change = async (entry) => {
  await (await store()).put(STORE, entry);
  await tell();
};
export const drop = async (id) => {
  await (await store()).delete(STORE, id);
  await tell();
};
/** Calls a listener with all that waits, now and whenever that changes. */
export const follow = (listener) => {
  heard.push(listener);
  return tell();
};

/** A key of its own for each form that is sent; plain HTTP has no randomUUID. */
export const freshKey = () =>
  [...crypto.getRandomValues(new Uint8Array(16))].map((b) => b.toString(16).padStart(2, "0")).join("");

/* A page that was kept is opened again and again with the key that it was made with: what is entered
   the second time would be taken for a repetition of the first, and be lost. */
document.querySelectorAll("form[data-waits]").forEach((form) => {
  form.elements.requestKey.value = freshKey();
});

/* Gain {gain}, {outcome}: each name for what its field shows. */
const shown = (form, name) => {
  const field = form.elements.namedItem(name);
  if (!field) return "";
  if (field instanceof RadioNodeList) {
    const chosen = [...field].find((radio) => radio.checked);
    return chosen ? chosen.closest("label").textContent.trim() : "";
  }
  return field.selectedOptions ? field.selectedOptions[0].textContent : field.value;
};
const words = (form) =>
  form.dataset.waits.replace(/\{(\w+)\}/g, (_, name) => shown(form, name).toLowerCase());

/** Keeps what a form holds, to be sent to where the form posts. */
export const wait = async (form, submitter) => {
  const data = new FormData(form, submitter && submitter.name ? submitter : undefined);
  data.delete("_csrf");
  await add({
    path: new URL(form.getAttribute("action"), window.location).pathname,
    fields: [...data.entries()],
    words: words(form),
    who: document.querySelector(".who").dataset.who,
    at: Date.now(),
    why: "",
  });
  form.elements.requestKey.value = freshKey();
};
