import { Dialog } from "radix-ui";
import { useEffect, useRef, useState } from "react";
import { Link } from "react-router";
import { problemOf, type Schemas } from "../api/client";
import { paths, useFreshChange, useMapById, useTurnBack } from "../features/map";
import { useSession } from "../features/session";
import { isTyping, useCommand } from "../ui/commands";
import { Panel } from "../ui/Panel";

/** What was just changed, with the way back, for a few seconds after it; Ctrl Z takes back what is older. */
export function UndoLine({ mapId }: { mapId: string }) {
  const map = useMapById(mapId);
  const turn = useTurnBack(mapId);
  const [fresh, hold] = useFreshChange(mapId);
  const undo = map.data?.undo;
  const redo = map.data?.redo;
  const { mutate, isPending } = turn;
  const me = useSession().data?.displayName;
  const [asking, setAsking] = useState<"undo" | "redo">();
  // One's own goes back at once; somebody else's work only when one has said that it is meant.
  const turnBack = (way: "undo" | "redo") => {
    const about = way === "undo" ? undo : redo;
    if (!about || isPending) return;
    if (about.author === me) mutate(way);
    else setAsking(way);
  };
  const latest = useRef(turnBack);
  useEffect(() => {
    latest.current = turnBack;
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const combined = (event.ctrlKey || event.metaKey) && event.key.toLowerCase() === "z";
      if (!combined || isTyping(event.target)) return;
      event.preventDefault();
      latest.current(event.shiftKey ? "redo" : "undo");
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, []);
  useCommand(undo ? { title: `Undo: ${undo.summary}`, run: () => turnBack("undo") } : undefined);
  useCommand(redo ? { title: `Redo: ${redo.summary}`, run: () => turnBack("redo") } : undefined);
  const takenBack = turn.isSuccess && turn.variables === "undo" && redo;
  const way = takenBack ? "redo" : "undo";
  const about = takenBack ? redo : undo;
  const said = turn.isError
    ? problemOf(turn.error).detail
    : takenBack
      ? `Taken back: ${redo.summary}`
      : (undo?.summary ?? "");
  const shown = (fresh || turn.isError) && said !== "";
  return (
    <div
      role="status"
      className="no-print fixed bottom-44 left-4 z-20 max-w-[calc(100vw-2rem)] mid:bottom-4 mid:left-5"
    >
      {shown && (
        // What is under the hand does not go away from it.

        <div
          className="flex items-center gap-5 border-2 border-ink bg-lane py-0.5 pr-2 pl-4"
          onPointerEnter={() => hold(true)}
          onPointerLeave={() => hold(false)}
          onFocus={() => hold(true)}
          onBlur={() => hold(false)}
        >
          <span className="min-w-0 truncate">{said}</span>
          {about && !turn.isError && (
            <button
              type="button"
              className="word min-h-11 px-2 font-semibold text-ink"
              disabled={isPending}
              onClick={() => turnBack(way)}
            >
              {way === "undo" ? "Undo" : "Redo"}
            </button>
          )}
          {turn.isError && (
            <button type="button" className="word min-h-11 px-2" onClick={() => turn.reset()}>
              Close
            </button>
          )}
        </div>
      )}
      {asking && (
        <Somebodys
          change={asking === "undo" ? undo : redo}
          history={paths.history(mapId)}
          close={() => setAsking(undefined)}
          take={() => {
            mutate(asking);
            setAsking(undefined);
          }}
        />
      )}
    </div>
  );
}

/** Asks by name before somebody else's change is taken back. */
function Somebodys({
  change,
  history,
  close,
  take,
}: {
  change: Schemas["RevisionView"] | null | undefined;
  history: string;
  close: () => void;
  take: () => void;
}) {
  if (!change) return null;
  return (
    <Panel
      title={`This is ${change.author}’s`}
      open
      onOpenChange={(open) => !open && close()}
      className="top-0 p-4 sm:top-[12vh] sm:w-[560px]"
    >
      <p className="mt-2">
        The last change of this map is not yours: “{change.summary}”. What you changed before it can be taken
        back by itself in the{" "}
        <Link className="link" to={history} onClick={close}>
          history
        </Link>
        .
      </p>
      <div className="mt-4 flex flex-wrap items-center gap-x-5 gap-y-2">
        <Dialog.Close className="plate">Leave it</Dialog.Close>
        <button type="button" className="word" onClick={take}>
          Take {change.author}’s change back
        </button>
      </div>
    </Panel>
  );
}
