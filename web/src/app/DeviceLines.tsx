import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useSyncExternalStore } from "react";
import { onAsOf, shownAsOf } from "../api/asOf";
import { newer, onNewer, takeNewer } from "../device";
import { whenInWords } from "../ui/when";

/** While the network is away it is tried so often, in milliseconds, whether it is back. */
const TRY_EVERY = 5_000;

/** What there is to say of the device itself: that the network is away and from when everything is, or that it could be newer. */
export function DeviceLines() {
  const asOf = useSyncExternalStore(onAsOf, shownAsOf);
  const isNewer = useSyncExternalStore(onNewer, newer);
  useComesBack(asOf !== undefined);
  return (
    <>
      {asOf !== undefined && (
        <p role="status" className="no-print border-b-2 border-ink px-5 py-1">
          <strong>No network.</strong> What you see is as it was {whenInWords(asOf)}.
        </p>
      )}
      {isNewer && (
        <p role="status" className="no-print border-b-2 border-ink px-5 py-1">
          A newer Narrow Gate is here.{" "}
          <button type="button" className="word" onClick={takeNewer}>
            Take it now
          </button>{" "}
          <span className="text-quiet">What you typed stays.</span>
        </p>
      )}
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
