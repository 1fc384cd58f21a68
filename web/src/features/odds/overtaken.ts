import { useSyncExternalStore } from "react";
import type { Schemas } from "../../api/client";

/** A map that somebody else changed while it was on screen, and the revision that is shown of it since. */
let overtaken: { mapId: string; revision: number } | undefined;
const listeners = new Set<() => void>();

/** Says that a map is shown anew, in a revision that this window did not make. */
export function tellOvertaken(mapId: string, revision: number): void {
  overtaken = { mapId, revision };
  listeners.forEach((listener) => listener());
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** True while what is on screen is what somebody else made of the map, until it changes again. */
export function useIsOvertaken(map: Pick<Schemas["Map"], "id" | "revision">): boolean {
  const last = useSyncExternalStore(subscribe, () => overtaken);
  return last?.mapId === map.id && last.revision === map.revision;
}
