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
const next = () => {
  const act = document.getElementById("next-act");
  if (!act) return;
  const here = document.querySelector("[data-next]:not([disabled])");
  if (here && window.location.pathname + window.location.search === act.pathname + act.search) {
    here.focus();
    if (here.select) here.select();
  } else {
    act.click();
  }
};
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
  z: () => {
    const undo = document.getElementById("undo");
    if (undo) undo.click();
  },
  u: () => document.getElementById("units-form").requestSubmit(),
  "/": () => document.getElementById("q").focus(),
  "?": () => document.getElementById("keys").showModal(),
};

document.addEventListener("keydown", (event) => {
  if (event.ctrlKey || event.metaKey || event.altKey) return;
  if (event.key === "Escape" && event.target.blur) event.target.blur();
  // An empty reading takes the meter's key; in one that is begun it may be the m of a unit.
  const empty = event.target.id === "reading" && !event.target.value && event.key === "m";
  const typing = "input:not([type=radio]):not([type=checkbox]), select, textarea, dialog";
  if (!empty && event.target.closest(typing)) return;
  const station = document.querySelector(`.rail a[data-key="${CSS.escape(event.key)}"]`);
  const act = station ? () => station.click() : acts[event.key];
  if (act) {
    event.preventDefault();
    act();
  }
});
