import { clientsClaim } from "workbox-core";
import { createHandlerBoundToURL, precacheAndRoute, type PrecacheEntry } from "workbox-precaching";
import { NavigationRoute, registerRoute } from "workbox-routing";
import { CacheFirst } from "workbox-strategies";
import { TAKE_OVER } from "./takeOver";

/** What of a service worker's own world is used here; the rest of the app lives in a page's. */
declare const self: {
  __WB_MANIFEST: (PrecacheEntry | string)[];
  location: Location;
  skipWaiting(): Promise<void>;
  addEventListener(type: "message", listener: (event: { data: unknown }) => void): void;
  addEventListener(type: "install", listener: (event: InstallEvent) => void): void;
};

/** Routes that pass a worker by (Service Workers, W3C: static routing); not every browser has them. */
interface InstallEvent {
  addRoutes?(route: { condition: { urlPattern: { pathname: string } }; source: "network" }): Promise<void>;
  waitUntil(done: Promise<unknown>): void;
}

/** The page, its script, fonts, workers and the VIN data: there without the network after the first visit. */
precacheAndRoute(self.__WB_MANIFEST);

/**
 * Every address of the app is the one page that is kept with its script: it opens at once, and never with a script of
 * another version. A newer version is fetched beside it, and taken when the person says so or nothing of it is open.
 */
registerRoute(
  new NavigationRoute(createHandlerBoundToURL("/index.html"), { denylist: [/^\/api\//, /^\/([rtc]|ask)\//] }),
);

/** What scanning needs is large: kept once it was used. */
registerRoute(
  ({ url }) => url.origin === self.location.origin && url.pathname.startsWith("/scan/"),
  new CacheFirst({ cacheName: "scan" }),
);

/**
 * What is asked of the server passes the worker by: a browser lets a newer version take over only in a moment in which the
 * older one has nothing to do, and a page that asks often leaves it none.
 */
self.addEventListener("install", (event) => {
  if (event.addRoutes)
    event.waitUntil(event.addRoutes({ condition: { urlPattern: { pathname: "/api/*" } }, source: "network" }));
});

self.addEventListener("message", ({ data }) => {
  if (data === TAKE_OVER) void self.skipWaiting();
});
clientsClaim();
