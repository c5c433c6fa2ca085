/* The Towline folds to a strip; its place is kept, so nothing jumps. */
const fold = () => document.body.classList.toggle("folded", window.scrollY > 200);
window.addEventListener("scroll", fold, { passive: true });
fold();

/* The number pad of a phone. */
document.addEventListener("click", (event) => {
  const key = event.target.closest("[data-pad]");
  if (!key) return;
  const input = key.closest("form").querySelector("input[name=reading]");
  input.value = key.dataset.pad === "⌫" ? input.value.slice(0, -1) : input.value + key.dataset.pad;
});
