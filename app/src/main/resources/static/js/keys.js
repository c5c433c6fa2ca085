import { emptyFigure, unfold } from "./page.js";

/* Every act has a key; the list of them opens with a question mark. */
const cards = () => [
  ...document.querySelectorAll(".card-row > h2 > a, .card-row > h3 > a, .rows td.num > a"),
];
const along = (step) => {
  const all = cards();
  if (!all.length) return;
  const now = all.indexOf(document.activeElement);
  all[Math.max(0, Math.min(all.length - 1, now < 0 ? 0 : now + step))].focus();
};
/* What the next act asks for: its field, the first word that nobody has said, or a button. */
const NEXT = "jexel.next";
const asked = (field) => {
  const word = [...document.querySelectorAll(".card-row.open .round .word")].find(
    (each) => !each.querySelector("input:checked"),
  );
  return (
    (field && document.getElementById(field)) ||
    (word && word.querySelector("input[type=radio]")) ||
    emptyFigure(document) ||
    document.querySelector("[data-next]:not([disabled])") ||
    document.querySelector(".card-row.open :is(input:not([type=hidden]), select, textarea):not([disabled])")
  );
};
const stand = (field) => {
  if (!field) return;
  field.focus();
  if (field.select) field.select();
};
const next = () => {
  const act = document.getElementById("next-act");
  if (!act) return;
  const { field } = act.dataset;
  if (window.location.pathname + window.location.search === act.pathname + act.search) {
    stand(asked(field));
  } else {
    sessionStorage.setItem(NEXT, field || "");
    act.click();
  }
};
const came = sessionStorage.getItem(NEXT);
if (came !== null) {
  sessionStorage.removeItem(NEXT);
  // Not before: on its way to the card that the address names the browser takes the focus away.
  window.addEventListener("load", () => stand(asked(came)));
}
const sums = () => {
  const all = [...document.querySelectorAll("details.sum")];
  const open = !all.some((sum) => sum.open);
  all.forEach((sum) => {
    sum.open = open;
  });
};

const meter = () => {
  const take = document.getElementById("take-meter");
  if (take) take.click();
};

const acts = {
  m: meter,
  n: next,
  j: () => along(1),
  k: () => along(-1),
  s: sums,
  t: unfold,
  z: () => {
    const undo = document.getElementById("undo");
    if (undo) undo.click();
  },
  u: () => document.getElementById("units-form").requestSubmit(),
  "/": () => document.getElementById("q").focus(),
  "?": () => document.getElementById("keys").showModal(),
};

/* A station is g and its number. A digit alone belongs to the reading that is open. */
const GOES_MS = 1500;
let went = 0;
const digit = (key) => {
  const station = document.querySelector(`.rail a[data-key="${key}"]`);
  const reading = emptyFigure(document) || document.querySelector("[data-figure]");
  if (station && Date.now() - went < GOES_MS) station.click();
  else if (reading) reading.focus();
};

document.addEventListener("keydown", (event) => {
  if (event.ctrlKey || event.metaKey || event.altKey) return;
  if (event.key === "Escape" && event.target.blur) event.target.blur();
  // An empty reading takes the meter's key; in one that is begun it may be the m of a unit.
  const empty = event.target.matches("[data-figure]") && !event.target.value && event.key === "m";
  const typing = "input:not([type=radio]):not([type=checkbox]), select, textarea, dialog";
  if (!empty && event.target.closest(typing)) return;
  if (/^[0-9]$/.test(event.key)) {
    digit(event.key);
    return;
  }
  went = event.key === "g" ? Date.now() : 0;
  const act = acts[event.key];
  if (act) {
    event.preventDefault();
    act();
  }
});

/* Whoever changes the units stays where they are. */
document.addEventListener("submit", (event) => {
  const { back } = event.target.elements;
  if (event.target.id === "units-form" && back) {
    back.value = window.location.pathname + window.location.search + window.location.hash;
  }
});
