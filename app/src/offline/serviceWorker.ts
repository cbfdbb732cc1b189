import { clientsClaim } from "workbox-core";
import { precacheAndRoute, matchPrecache, type PrecacheEntry } from "workbox-precaching";
import { NavigationRoute, registerRoute } from "workbox-routing";
import { CacheFirst, NetworkFirst } from "workbox-strategies";

/** What of a service worker's own world is used here; the rest of the app lives in a page's. */
declare const self: {
  __WB_MANIFEST: (PrecacheEntry | string)[];
  location: Location;
  skipWaiting(): Promise<void>;
  addEventListener(type: "install", listener: () => void): void;
};

/** The page, its script, fonts, workers and the VIN data: there without the network after the first visit. */
precacheAndRoute(self.__WB_MANIFEST);

/** A newer page is taken where it comes soon; else the kept one opens. */
const SOON_SECONDS = 3;
const pages = new NetworkFirst({
  cacheName: "pages",
  networkTimeoutSeconds: SOON_SECONDS,
  plugins: [
    {
      handlerDidError: async () => (await matchPrecache("/index.html")) ?? Response.error(),
      // Every address is the same page: it is kept once, with the precache.
      cacheWillUpdate: () => Promise.resolve(null),
    },
  ],
});
registerRoute(new NavigationRoute(pages, { denylist: [/^\/api\//] }));

/** What scanning needs is large: kept once it was used. */
registerRoute(
  ({ url }) => url.origin === self.location.origin && url.pathname.startsWith("/scan/"),
  new CacheFirst({ cacheName: "scan" }),
);

self.addEventListener("install", () => void self.skipWaiting());
clientsClaim();
