import type { Middleware } from "openapi-fetch";
import { KEPT_AT } from "../device";

/** From when what is on screen is, as an instant, while the network is away; nothing while it is there. */
let asOf: string | undefined;
/** Since when nothing gets through, by this page's clock. */
let lostAt = 0;
const listeners = new Set<() => void>();

/** For so long, in milliseconds, a lost answer may be one alone. */
const ALONE = 4_000;

function set(next: string | undefined): void {
  if (next === asOf) return;
  if (asOf === undefined) lostAt = Date.now();
  asOf = next;
  listeners.forEach((listener) => listener());
}

export const shownAsOf = (): string | undefined => asOf;

/** True where nothing has got through for a while, so that trying once more at once is in vain. */
export const isAway = (): boolean => asOf !== undefined && Date.now() - lostAt > ALONE;

export function onAsOf(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

function earlier(at: string): void {
  if (asOf === undefined || at < asOf) set(at);
}

/** Hears of every answer whether it came over the network, was kept on this device, or did not come at all. */
export const heardAsOf: Middleware = {
  onResponse({ response }) {
    const at = response.headers.get(KEPT_AT);
    if (at) earlier(at);
    else set(undefined);
  },
  onError({ error }) {
    // Whoever leaves a page asks no more; that says nothing of the network.
    if (!(error instanceof DOMException)) earlier(new Date().toISOString());
  },
};
