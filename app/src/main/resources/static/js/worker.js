/* Answers for the server where it is not reached: with the page as it was last seen, if it is one that
   is worked on away from the workshop. Reached, the server always comes first. */
const PAGES = "jexel-pages";
const PARTS = "jexel-parts";
const AWAY = "/static/out-of-reach.html";
const ITS_PARTS = ["out-of-reach", "queue", "waiting"].map((name) => `/static/js/${name}.js`);
const SLOW_MS = 8000;
const isPart = (path) => path.startsWith("/static/") || path.startsWith("/webjars/");
const isKept = (path) => /^\/jobs\/[^/]+\/(road|road\/card|bench|before|care|care\/[A-Z_]+)$/.test(path);

self.addEventListener("install", (event) => {
  self.skipWaiting();
  event.waitUntil(caches.open(PARTS).then((cache) => cache.addAll([AWAY, ...ITS_PARTS])));
});
self.addEventListener("activate", (event) => event.waitUntil(self.clients.claim()));

const soon = (request) =>
  new Promise((resolve, reject) => {
    setTimeout(() => reject(new Error("slow")), SLOW_MS);
    fetch(request).then(resolve, reject);
  });
// By the address alone: a script asks with other heads than whoever kept it.
const kept = async (name, request) => (await caches.open(name)).match(request, { ignoreVary: true });

/* Whether the last page came from the server: then its parts do as well, past this worker. */
let reached = true;

/* Beside the answer, which nobody is to wait for. */
const keep = (event, answer) => {
  // The answer to a sign-in that ran out is another page, and is not kept as this one.
  if (!answer.ok || answer.redirected) return;
  const copy = answer.clone();
  event.waitUntil(caches.open(PAGES).then((cache) => cache.put(event.request, copy)));
};

/* Pages that are shown as they were last seen say so: each asks for itself. */
const asSeen = new Map();
self.addEventListener("message", (event) => {
  const at = asSeen.get(event.source.id);
  if (at) event.source.postMessage({ asSeen: at });
});

const part = async (request) => (await kept(PARTS, request)) || fetch(request);
const page = async (event, path) => {
  const before = isKept(path) ? await kept(PAGES, event.request) : null;
  try {
    const answer = await (before ? soon(event.request) : fetch(event.request));
    reached = true;
    if (isKept(path)) keep(event, answer);
    return answer;
  } catch (away) {
    reached = false;
    if (before) asSeen.set(event.resultingClientId, before.headers.get("Date"));
    return before || kept(PARTS, AWAY);
  }
};

self.addEventListener("fetch", (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (url.origin !== self.location.origin) return;
  if (request.method === "POST" && url.pathname === "/sign-out") {
    // Whoever takes this phone next sees none of the pages; what waits stays, under its name.
    event.waitUntil(caches.delete(PAGES));
  } else if (request.method === "GET" && isPart(url.pathname)) {
    if (!reached) event.respondWith(part(request));
  } else if (request.method === "GET" && request.mode === "navigate") {
    event.respondWith(page(event, url.pathname));
  }
});
