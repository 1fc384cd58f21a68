import { useEffect } from "react";
import { keepOnDevice } from "../device";
import { useRights } from "../features/session";

/** So long after the page stands, and so often after that, in milliseconds. */
const SOON = 3_000;
const EVERY = 10 * 60_000;

/** Keeps on this device what whoever is signed in may want of a map where there is no network, opened before or not. */
export function useKeeping(mapId: string | undefined): void {
  const may = useRights();
  const people = may("see-people");
  const classes = may("read-classes");
  const record = may("keep-record");
  useEffect(() => {
    if (!mapId) return;
    const end = new AbortController();
    const keep = async () => {
      // A page that nobody looks at asks for nothing.
      if (document.hidden) return;
      const map = `/api/maps/${mapId}`;
      await keepOnDevice(
        [
          "/api/session",
          "/api/maps",
          map,
          `${map}/carried`,
          `${map}/pictures`,
          `${map}/readings/deck?seed=1`,
          `${map}/readings/mine`,
          ...(people ? ["/api/people?kept=true"] : []),
          ...(record ? [`${map}/record/tonight`] : []),
        ],
        end.signal,
      );
      if (classes) await keepOnDevice(() => nextClass(mapId), end.signal);
    };
    const soon = setTimeout(() => void keep(), SOON);
    const often = setInterval(() => void keep(), EVERY);
    return () => {
      end.abort();
      clearTimeout(soon);
      clearInterval(often);
    };
  }, [mapId, people, classes, record]);
}

/** The class's pages come when they are wanted, and so does what knows of classes. */
async function nextClass(mapId: string): Promise<string[]> {
  const { nextClassToKeep } = await import("../features/lesson");
  return nextClassToKeep(mapId);
}
