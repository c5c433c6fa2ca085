/* Pages that are worked on where the server is not reached are kept in this browser. */
const PAGES = "jexel-pages";
const PARTS = "jexel-parts";
const FRESH = "jexel.parts";
const said = document.getElementById("kept");
/* Pages of this job that what is recorded makes others of. */
const changing = () => {
  const job = window.location.pathname.match(/^\/jobs\/[^/]+/);
  return job ? [`${job[0]}/road/card`, `${job[0]}/before`] : [];
};

/* Those that are kept are fetched anew. */
const renew = async () => {
  if (!("caches" in window)) return;
  const pages = await caches.open(PAGES);
  for (const page of changing()) {
    if (await pages.match(page)) await keepNow(pages, page);
  }
};
const keepNow = async (pages, page) => {
  const answer = await fetch(page);
  if (!answer.ok || answer.redirected) throw new Error("not kept");
  await pages.put(page, answer);
};
document.addEventListener("htmx:afterRequest", (event) => {
  const { successful, requestConfig } = event.detail;
  if (
    successful &&
    requestConfig.verb === "post" &&
    /\/road\/(?!draft|simulated)|\/before$/.test(requestConfig.path)
  ) {
    renew().catch(() => {});
  }
});

/* A page from here says of when it is. */
const tell = (at) => {
  const line = document.createElement("p");
  line.id = "as-seen";
  line.setAttribute("role", "status");
  line.textContent = `The server is not reached. This page is as it was last seen, ${new Date(
    at,
  ).toLocaleString("en-GB", { day: "numeric", month: "short", hour: "2-digit", minute: "2-digit" })}.`;
  (document.querySelector("header.top") || document.body.firstChild).after(line);
};
if (navigator.serviceWorker && navigator.serviceWorker.controller) {
  navigator.serviceWorker.addEventListener("message", (event) => tell(event.data.asSeen));
  navigator.serviceWorker.startMessages();
  navigator.serviceWorker.controller.postMessage("as seen?");
}

/* What a page is made of is kept with it: all of it once in each tab, so that it is of this version. */
const keepParts = async () => {
  const cache = await caches.open(PARTS);
  const kept = new Set((await cache.keys()).map((request) => request.url));
  const used = performance
    .getEntriesByType("resource")
    .map((entry) => new URL(entry.name))
    .filter((url) => url.origin === window.location.origin && /^\/(static|webjars)\//.test(url.pathname))
    .map((url) => url.href);
  const missing = used.filter((url) => !kept.has(url));
  try {
    const anew = sessionStorage.getItem(FRESH) ? missing : used;
    await Promise.all([...new Set(anew)].map((url) => cache.add(url)));
    sessionStorage.setItem(FRESH, "yes");
  } catch (away) {
    // Out of reach, what is kept already serves.
    if (missing.length) throw away;
  }
};

const begin = async () => {
  if (!("serviceWorker" in navigator)) {
    if (said)
      said.textContent =
        "This connection is not encrypted, so the page cannot be kept here: take it along on paper.";
    return;
  }
  await navigator.serviceWorker.register("/worker.js");
  await navigator.serviceWorker.ready;
  if (document.querySelector("[data-waits]")) await keepParts();
  if (!said) return;
  const pages = await caches.open(PAGES);
  // The first page of all was fetched before there was a worker to keep it.
  if (!(await pages.match(said.dataset.keeps))) await keepNow(pages, said.dataset.keeps);
  said.textContent = "Kept on this phone: it opens without connection too, and what you enter waits here.";
};
begin().catch(() => {
  if (said) said.textContent = "This page could not be kept on this phone: take it along on paper.";
});
