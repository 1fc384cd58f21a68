import { useCallback, useSyncExternalStore } from "react";

/** True while the screen answers a media query; where nobody can tell, as `unknown`. */
export function useMedia(query: string, unknown: boolean): boolean {
  const subscribe = useCallback(
    (listener: () => void) => {
      const list = window.matchMedia?.(query);
      list?.addEventListener("change", listener);
      return () => list?.removeEventListener("change", listener);
    },
    [query],
  );
  return useSyncExternalStore(subscribe, () => window.matchMedia?.(query).matches ?? unknown);
}

/** True from the width of a tablet up, where the band stands at the top and the map is a grid. */
export function useWide(): boolean {
  return useMedia("(min-width: 45rem)", true);
}
