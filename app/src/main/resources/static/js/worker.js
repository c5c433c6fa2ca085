/* Answers for the server where it is not reached: with the page as it was last seen, if it is one that
   is worked on away from the workshop. Reached, the server always comes first. */
const PAGES = "jexel-pages";
const PARTS = "jexel-parts";
const AWAY = "/static/out-of-reach.html";
const ITS_PARTS = ["out-of-reach", "queue", "waiting"].map((name) => `/static/js/${name}.js`);
const SLOW_MS = 6000;
const isPart = (path) => path.startsWith("/static/") || path.startsWith("/webjars/");
const isKept = (path) => /^\/jobs\/[^/]+\/(road|road\/card|bench)$/.test(path);

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
const keep = async (name, request, answer) => {
  // The answer to a sign-in that ran out is another page, and is not kept as this one.
  if (answer.ok && !answer.redirected) await (await caches.open(name)).put(request, answer.clone());
  return answer;
};
// By the address alone: a script asks with other heads than whoever kept it.
const kept = async (name, request) => (await caches.open(name)).match(request, { ignoreVary: true });

const answer = async (request, name) => {
  const before = await kept(name, request);
  try {
    return await keep(name, request, await (before ? soon(request) : fetch(request)));
  } catch (away) {
    if (before) return before;
    throw away;
  }
};
const page = async (request, path) => {
  try {
    return await (isKept(path) ? answer(request, PAGES) : fetch(request));
  } catch (away) {
    return kept(PARTS, AWAY);
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
    event.respondWith(answer(request, PARTS));
  } else if (request.method === "GET" && request.mode === "navigate") {
    event.respondWith(page(request, url.pathname));
  }
});
