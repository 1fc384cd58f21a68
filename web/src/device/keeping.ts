/** The store of answers on this device. */
export const KEPT_ON_DEVICE = "narrowgate-answers";

/** With an answer from the store: when it was kept, as an instant. */
export const KEPT_AT = "kept-at";

/** The server says of each answer whether it may stay on a device: what it says nothing of may not. */
export function mayBeKept(response: Response): boolean {
  return response.status === 200 && response.headers.get("keepable") === "device";
}

/** What an address is asked with that says only what day it is, or that its answer is to be kept, by what its path ends with. */
const BESIDE: [RegExp, string[]][] = [
  [/\/classes$/, ["from", "until"]],
  [/\/classes\/[^/]+$/, ["today", "kept"]],
  [/\/api\/people$/, ["kept"]],
  // Any deck of that draw is better than none.
  [/\/readings\/deck$/, ["aim", "matchup", "read", "late", "stance", "cards"]],
];

/** Under which address an answer is kept: of what is asked for anew every day, the last one. */
export function addressAsKept(address: string): string {
  const url = new URL(address);
  for (const [path, names] of BESIDE) {
    if (path.test(url.pathname)) names.forEach((name) => url.searchParams.delete(name));
  }
  return url.href;
}

/** Throws away every answer on this device. */
export async function wipeAnswers(): Promise<void> {
  // Where nothing may be stored there is no store either.
  if (typeof caches === "undefined") return;
  await caches.delete(KEPT_ON_DEVICE).catch(() => false);
}

/**
 * Asks for what may be wanted where there is no network, one after the other, so that it is kept on the device.
 *
 * @param addresses where they have to be found out first, they are only where anything is kept
 */
export async function keepOnDevice(
  addresses: readonly string[] | (() => Promise<readonly string[]>),
  signal: AbortSignal,
): Promise<void> {
  if (!(await keepsSomething(signal))) return;
  try {
    for (const address of typeof addresses === "function" ? await addresses() : addresses) {
      if (signal.aborted) return;
      const answer = await fetch(address, { signal, priority: "low" });
      // An answer that nobody reads stays on its way, and a newer service worker waits for it.
      await answer.arrayBuffer();
    }
  } catch {
    // What cannot be had now is asked for another time.
  }
}

/** Waits until answers to this page are kept. */
function keepsSomething(signal: AbortSignal): Promise<boolean> {
  if (!("serviceWorker" in navigator)) return Promise.resolve(false);
  const { serviceWorker } = navigator;
  if (serviceWorker.controller !== null) return Promise.resolve(true);
  return new Promise((done) => {
    serviceWorker.addEventListener("controllerchange", () => done(true), { once: true, signal });
    signal.addEventListener("abort", () => done(false), { once: true });
  });
}
