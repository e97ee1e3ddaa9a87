// What goes on without a network: pages of tests that were open on this device, and everything that they are made of. What is
// typed is kept by the page itself (offline.js), not here.
importScripts(
  "/vendor/workbox-core-7.4.1.js",
  "/vendor/workbox-routing-7.4.1.js",
  "/vendor/workbox-cacheable-response-7.4.1.js",
  "/vendor/workbox-expiration-7.4.1.js",
  "/vendor/workbox-strategies-7.4.1.js",
);

const AWAY = "/away";
const PAGES = "marten-pages-1";
const PARTS = "marten-parts-1";
const { registerRoute, setCatchHandler } = workbox.routing;
const { NetworkFirst, CacheFirst } = workbox.strategies;
const { CacheableResponsePlugin } = workbox.cacheableResponse;
const { ExpirationPlugin } = workbox.expiration;

const isTest = (url) => /^\/runs\/\d+$/.test(url.pathname);
const good = () => new CacheableResponsePlugin({ statuses: [200] });

// A page of a test as it was last seen; a page of a test that is not signed in is a redirect and never kept.
registerRoute(
  ({ request, url }) => request.mode === "navigate" && isTest(url),
  new NetworkFirst({ cacheName: PAGES, networkTimeoutSeconds: 15, plugins: [good(), new ExpirationPlugin({ maxEntries: 20 })] }),
);
// Their addresses change with their content, so what is there is right.
registerRoute(
  ({ request }) => ["script", "style", "font", "image"].includes(request.destination),
  new CacheFirst({ cacheName: PARTS, plugins: [good(), new ExpirationPlugin({ maxEntries: 120 })] }),
);
registerRoute(({ request }) => request.mode === "navigate", ({ request }) => fetch(request));
setCatchHandler(async ({ request }) =>
  request.mode === "navigate" ? ((await caches.match(AWAY)) ?? Response.error()) : Response.error(),
);

// Fetched as a stranger: it holds nothing of anybody, and must not bring another cookie to whoever is just signing in.
self.addEventListener("install", (event) => {
  event.waitUntil(caches.open(PAGES).then((cache) => cache.add(new Request(AWAY, { credentials: "omit" }))).then(() => self.skipWaiting()));
});
self.addEventListener("activate", (event) => {
  const current = [PAGES, PARTS];
  event.waitUntil(
    caches
      .keys()
      .then((names) => Promise.all(names.filter((each) => each.startsWith("marten-") && !current.includes(each)).map((each) => caches.delete(each))))
      .then(() => self.clients.claim()),
  );
});
// Whoever signs out leaves no page behind. What waits to be sent stays with its person's name.
self.addEventListener("message", (event) => {
  if (event.data === "forget") {
    event.waitUntil(caches.open(PAGES).then(async (cache) => {
      for (const each of await cache.keys()) {
        if (new URL(each.url).pathname !== AWAY) {
          await cache.delete(each);
        }
      }
    }));
  }
});
