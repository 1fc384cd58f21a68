import { Workbox } from "workbox-window";
import { offer } from "./newer";

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
