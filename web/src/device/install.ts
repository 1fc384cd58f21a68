import { Workbox } from "workbox-window";

/** What takes a newer version of the client into use; nothing while there is none. */
let take: (() => void) | undefined;
const listeners = new Set<() => void>();

export const newer = (): boolean => take !== undefined;

export function onNewer(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Begins the page anew with the newer version; what is typed on it is kept, and there again. */
export function takeNewer(): void {
  take?.();
}

function offer(how: () => void): void {
  take = how;
  listeners.forEach((listener) => listener());
}

/** So often a page that stays open asks for a newer version. */
const LOOK_EVERY = 60 * 60 * 1000;

/**
 * Puts the client on this device, where that can be done, so that it opens without a network. `first` is called once on a
 * device that had nothing of it: what was asked before that is not kept yet.
 */
export async function install(first: () => void): Promise<void> {
  if (!("serviceWorker" in navigator)) return;
  const had = navigator.serviceWorker.controller !== null;
  const workbox = new Workbox("/sw.js");
  workbox.addEventListener("waiting", () => {
    offer(() => {
      workbox.addEventListener("controlling", () => location.reload());
      workbox.messageSkipWaiting();
    });
  });
  workbox.addEventListener("controlling", ({ isExternal }) => {
    if (!had) first();
    // Taken into use in another window: this one goes on as it is until the person says so.
    else if (isExternal) offer(() => location.reload());
  });
  try {
    await workbox.register();
  } catch {
    // A browser that keeps nothing, as some private windows: everything is asked of the server as before.
    return;
  }
  setInterval(() => void workbox.update().catch(() => undefined), LOOK_EVERY);
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
      await fetch(address, { signal, priority: "low" });
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
