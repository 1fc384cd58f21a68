import { useEffect, useState } from "react";

/** Tells whoever listens that this window has changed a map, so that it can be taken back while it is fresh. */
const listeners = new Set<(mapId: string) => void>();

export function tellChange(mapId: string): void {
  listeners.forEach((listener) => listener(mapId));
}

/** How long a change can be taken back in place, in milliseconds. */
const FRESH_FOR = 6000;

/** True for a while after a change of the map from this window; as long as it is held it does not end. */
export function useFreshChange(mapId: string): [boolean, (held: boolean) => void] {
  const [at, setAt] = useState<number>();
  const [held, setHeld] = useState(false);
  useEffect(() => {
    let changes = 0;
    const listener = (changed: string) => {
      if (changed === mapId) setAt(++changes);
    };
    listeners.add(listener);
    return () => void listeners.delete(listener);
  }, [mapId]);
  useEffect(() => {
    if (at === undefined || held) return;
    const timer = setTimeout(() => setAt(undefined), FRESH_FOR);
    return () => clearTimeout(timer);
  }, [at, held]);
  return [at !== undefined, setHeld];
}
