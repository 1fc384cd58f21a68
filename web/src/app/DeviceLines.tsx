import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useSyncExternalStore } from "react";
import { onAsOf, shownAsOf } from "../api/asOf";
import { newer, onNewer, takeNewer } from "../device";
import { whenInWords } from "../ui/when";
import { useWaitingWords, WaitingPanel } from "./WaitingPanel";

/** While the network is away it is tried so often, in milliseconds, whether it is back. */
const TRY_EVERY = 5_000;

const LINE = "px-4 py-1";

/**
 * What there is to say of the device itself: from when everything is while the network is away, what waits, what is newer. It comes and goes by
 * itself, so it lies over the end of the page: in the page, all below it would move from under a finger.
 */
export function DeviceLines({ place }: { place: string }) {
  const asOf = useSyncExternalStore(onAsOf, shownAsOf);
  const isNewer = useSyncExternalStore(onNewer, newer);
  const waiting = useWaitingWords();
  useComesBack(asOf !== undefined);
  if (asOf === undefined && !waiting && !isNewer) return null;
  return (
    <>
      {/* The end of the page can be scrolled out from under it. */}
      <div aria-hidden="true" className="no-print h-24" />
      <div className={`no-print fixed z-20 divide-y-2 divide-ink border-ink bg-ground ${place}`}>
        {(asOf !== undefined || waiting) && (
          <div role="status" className={LINE}>
            {asOf !== undefined && (
              <>
                <strong>No network.</strong> What you see is as it was {whenInWords(asOf)}.{" "}
              </>
            )}
            {waiting}
            {waiting && <WaitingPanel />}
          </div>
        )}
        {isNewer && (
          <p role="status" className={LINE}>
            A newer Narrow Gate is here.{" "}
            <button type="button" className="word" onClick={takeNewer}>
              Take it now
            </button>{" "}
            <span className="text-quiet">What you typed stays.</span>
          </p>
        )}
      </div>
    </>
  );
}

/** Notices when the network is back, and asks for everything on screen again. */
function useComesBack(isAway: boolean): void {
  const queries = useQueryClient();
  useEffect(() => {
    if (!isAway) return;
    const tried = () => void queries.refetchQueries({ queryKey: ["session"] });
    const timer = setInterval(tried, TRY_EVERY);
    window.addEventListener("online", tried);
    return () => {
      clearInterval(timer);
      window.removeEventListener("online", tried);
      // Whatever was kept on the device may be another by now.
      void queries.invalidateQueries({ predicate: (query) => query.queryKey[0] !== "session" });
    };
  }, [isAway, queries]);
}
