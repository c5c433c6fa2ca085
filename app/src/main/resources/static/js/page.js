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

/* The number pad of a phone. */
document.addEventListener("click", (event) => {
  const key = event.target.closest("[data-pad]");
  if (!key) return;
  const input = key.closest("form").querySelector("input[name=reading]");
  input.value = key.dataset.pad === "⌫" ? input.value.slice(0, -1) : input.value + key.dataset.pad;
});
