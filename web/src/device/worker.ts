import { clientsClaim } from "workbox-core";
import { ExpirationPlugin } from "workbox-expiration";
import { cleanupOutdatedCaches, createHandlerBoundToURL, precacheAndRoute } from "workbox-precaching";
import { NavigationRoute, registerRoute } from "workbox-routing";
import { NetworkFirst } from "workbox-strategies";
import { addressAsKept, KEPT_AT, KEPT_ON_DEVICE, mayBeKept } from "./keeping";

/** What runs beside the pages of this site: it keeps on the device what is needed where there is no network. */
declare const self: EventTarget & { skipWaiting: () => Promise<void> };

/** Every file of this build, written in when it is built. */
declare const SHIPPED: { url: string; revision: string | null }[];

/** A network that has not answered for so long, in seconds, is taken for none where something is kept. */
const SLOW = 8;
/** So many answers are kept, and none for longer than so many days: names of people are among them. */
const MOST = 200;
const DAYS = 14;

precacheAndRoute(SHIPPED);
cleanupOutdatedCaches();
registerRoute(
  new NavigationRoute(createHandlerBoundToURL("/index.html"), { denylist: [/^\/(api|actuator)\//] }),
);

registerRoute(
  ({ sameOrigin, url }) => sameOrigin && url.pathname.startsWith("/api/"),
  new NetworkFirst({
    cacheName: KEPT_ON_DEVICE,
    networkTimeoutSeconds: SLOW,
    plugins: [
      {
        cacheKeyWillBeUsed: ({ request }) => Promise.resolve(addressAsKept(request.url)),
        cacheWillUpdate: ({ response }) => {
          if (!mayBeKept(response)) return Promise.resolve(null);
          return Promise.resolve(stamped(response));
        },
      },
      new ExpirationPlugin({ maxEntries: MOST, maxAgeSeconds: DAYS * 24 * 60 * 60, purgeOnQuotaError: true }),
    ],
  }),
);

/** The same answer with the time at which it was kept. */
function stamped(response: Response): Response {
  const headers = new Headers(response.headers);
  headers.set(KEPT_AT, new Date().toISOString());
  return new Response(response.body, { status: response.status, statusText: response.statusText, headers });
}

// A newer one takes over when the person says so, and not under what is being typed.
self.addEventListener("message", (event) => {
  if ((event as MessageEvent<{ type?: string }>).data?.type === "SKIP_WAITING") void self.skipWaiting();
});
clientsClaim();
