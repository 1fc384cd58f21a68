import { useEffect } from "react";

/** Keeps the screen from going dark while something is on, where the device lets it. */
export function useAwake(on: boolean): void {
  useEffect(() => {
    if (!on || !("wakeLock" in navigator)) return;
    let lock: WakeLockSentinel | undefined;
    let ended = false;
    const take = async () => {
      if (document.visibilityState !== "visible") return;
      try {
        const taken = await navigator.wakeLock.request("screen");
        if (ended) void taken.release();
        else lock = taken;
      } catch {
        // A device that saves its battery says no; the class goes on all the same.
      }
    };
    void take();
    // The lock is lost whenever the page is out of sight.
    const again = () => void take();
    document.addEventListener("visibilitychange", again);
    return () => {
      ended = true;
      document.removeEventListener("visibilitychange", again);
      void lock?.release();
    };
  }, [on]);
}
