/* The page that waits: it asks whether the server can work again, and opens what was asked for. */
// This page is no answer to what was sent: it stays kept.
sessionStorage.removeItem("jexel.sent");
const waiting = document.getElementById("waiting");
const since = Date.now();
const posted = "posted" in document.body.dataset;
const again = document.getElementById("again");
const open = () => {
  if (posted) window.history.back();
  else window.location.reload();
};
if (posted) {
  document.getElementById("posted").hidden = false;
  document.getElementById("asks").textContent = "This page asks every two seconds and goes back by itself.";
  again.textContent = "Go back now";
}
again.addEventListener("click", (event) => {
  event.preventDefault();
  open();
});
const ask = async () => {
  try {
    const answer = await fetch("/ready", { cache: "no-store" });
    if (answer.ok) {
      open();
      return;
    }
  } catch (gone) {
    /* The server is away as well: ask on. */
  }
  waiting.textContent = `Waiting for ${Math.round((Date.now() - since) / 1000)} s.`;
  setTimeout(ask, 2000);
};
setTimeout(ask, 1000);
