/* The helper's page: told that something changed, it fetches itself and shows the new words. */
const hold = document.getElementById("hold");
const line = () => document.getElementById("helper-line");
const take = async () => {
  const answer = await fetch(window.location.href, { cache: "no-store" });
  const page = new DOMParser().parseFromString(await answer.text(), "text/html");
  const fresh = page.getElementById("hold");
  if (!fresh) {
    window.location.reload();
    return;
  }
  const before = hold.querySelector("h1").textContent;
  hold.replaceChildren(...fresh.childNodes);
  if (hold.querySelector("h1").textContent !== before && navigator.vibrate) navigator.vibrate(80);
};
const events = new EventSource(hold.dataset.events);
events.addEventListener("hold", () =>
  take().catch(() => {
    line().textContent = "No line. Trying again.";
  }),
);
events.addEventListener("open", () => {
  line().textContent = "This page follows by itself.";
});
events.addEventListener("error", () => {
  if (events.readyState === EventSource.CLOSED) take().catch(() => {});
  line().textContent = "No line. Trying again; hold as told until somebody calls.";
});
