/* Pages that are worked on where the server is not reached are kept in this browser. */
const PAGES = "jexel-pages";
const said = document.getElementById("kept");
const card = () => {
  const job = window.location.pathname.match(/^\/jobs\/[^/]+/);
  return job ? `${job[0]}/road/card` : null;
};

/* What was recorded makes another card: the one that is kept is fetched anew. */
const renew = async () => {
  if (!card() || !("caches" in window)) return;
  const pages = await caches.open(PAGES);
  if (await pages.match(card())) {
    const answer = await fetch(card());
    if (answer.ok && !answer.redirected) await pages.put(card(), answer);
  }
};
document.addEventListener("htmx:afterRequest", (event) => {
  const { successful, requestConfig } = event.detail;
  if (successful && requestConfig.verb === "post" && /\/road\/(?!draft|simulated)/.test(requestConfig.path)) {
    renew().catch(() => {});
  }
});

const begin = async () => {
  if (!("serviceWorker" in navigator)) {
    if (said)
      said.textContent =
        "This connection is not encrypted, so the page cannot be kept here: take the PDF along.";
    return;
  }
  await navigator.serviceWorker.register("/worker.js");
  await navigator.serviceWorker.ready;
  if (!said) return;
  const pages = await caches.open(PAGES);
  if (!(await pages.match(card()))) await renewFirst(pages);
  said.textContent = "Kept on this phone: it opens without connection too, and what you enter waits here.";
};
const renewFirst = async (pages) => {
  // The first page of all was fetched before there was a worker to keep it.
  const answer = await fetch(card());
  if (!answer.ok || answer.redirected) throw new Error("not kept");
  await pages.put(card(), answer);
};
begin().catch(() => {
  if (said) said.textContent = "This page could not be kept on this phone: take the PDF along.";
});
