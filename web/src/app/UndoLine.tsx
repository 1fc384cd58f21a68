import { useEffect } from "react";
import { problemOf } from "../api/client";
import { useFreshChange, useMapById, useTurnBack } from "../features/map";
import { isTyping, useCommand } from "../ui/commands";

/** What was just changed, with the way back, for a few seconds after it; Ctrl Z takes back what is older. */
export function UndoLine({ mapId }: { mapId: string }) {
  const map = useMapById(mapId);
  const turn = useTurnBack(mapId);
  const [fresh, hold] = useFreshChange(mapId);
  const undo = map.data?.undo;
  const redo = map.data?.redo;
  const { mutate, isPending } = turn;
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const combined = (event.ctrlKey || event.metaKey) && event.key.toLowerCase() === "z";
      if (!combined || isTyping(event.target) || isPending) return;
      const way = event.shiftKey ? "redo" : "undo";
      if (way === "undo" ? undo : redo) {
        event.preventDefault();
        mutate(way);
      }
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [mutate, isPending, undo, redo]);
  useCommand(undo ? { title: `Undo: ${undo.summary}`, run: () => mutate("undo") } : undefined);
  useCommand(redo ? { title: `Redo: ${redo.summary}`, run: () => mutate("redo") } : undefined);
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
      className="no-print fixed bottom-28 left-4 z-20 max-w-[calc(100vw-2rem)] mid:bottom-4 mid:left-5"
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
              onClick={() => mutate(way)}
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
    </div>
  );
}
