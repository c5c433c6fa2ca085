/* The Towline folds to a strip; its place is kept, so nothing jumps. */
const fold = () => document.body.classList.toggle("folded", window.scrollY > 200);
window.addEventListener("scroll", fold, { passive: true });
fold();

/* Where a reading or a stop is taken it is a strip from the start, until somebody unfolds it. */
const UNFOLDED = "jexel.unfolded";
document.body.classList.toggle("unfolded", sessionStorage.getItem(UNFOLDED) === "yes");
export const unfold = () => {
  const open = document.body.classList.toggle("unfolded");
  sessionStorage.setItem(UNFOLDED, open ? "yes" : "no");
};
document.addEventListener("click", (event) => {
  if (event.target.closest("[data-unfold]")) unfold();
});

/* What is taken in one go: Enter goes to the next that is empty or unsaid, and records at the last. */
const figures = (form) => [...form.querySelectorAll("[data-figure]")];
export const emptyFigure = (form) => figures(form).find((field) => !field.value);
const isOpen = (entry) => (entry.matches("[data-figure]") ? !entry.value : !entry.querySelector(":checked"));
const openEntry = (form) => {
  const entry = [...form.querySelectorAll("[data-figure], [data-said]")].find(isOpen);
  return entry?.querySelector("input") ?? entry;
};
const given = (field) => (field.type === "radio" ? field.checked : field.value);
document.addEventListener("keydown", (event) => {
  if (event.key !== "Enter" || !event.target.matches("[data-figure], [data-said] input")) return;
  const next = openEntry(event.target.form);
  if (given(event.target) && next) {
    event.preventDefault();
    next.focus();
  }
});

/* The number pad of a phone types where somebody last touched, else into what is still empty. */
let touched = "";
document.addEventListener("focusin", (event) => {
  if (event.target.matches("[data-figure]")) touched = event.target.id;
});
const padded = (form) =>
  figures(form).find((field) => field.id === touched) || emptyFigure(form) || figures(form)[0];
document.addEventListener("click", (event) => {
  const key = event.target.closest("[data-pad]");
  if (!key) return;
  const input = padded(key.form);
  input.value = key.dataset.pad === "⌫" ? input.value.slice(0, -1) : input.value + key.dataset.pad;
  touched = input.id;
});
document.addEventListener("click", (event) => {
  const on = event.target.closest("[data-pad-next]");
  if (!on) return;
  // A key of the pad changes no field as hands do: what was typed is judged and kept from here.
  padded(on.form).dispatchEvent(new Event("change", { bubbles: true }));
  touched = emptyFigure(on.form)?.id ?? "";
});
