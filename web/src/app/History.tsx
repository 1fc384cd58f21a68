import { useEffect } from "react";
import { problemOf } from "../api/client";
import { useMapById, useTurnBack } from "../features/map";
import { isTyping, useCommand } from "../ui/commands";

/** Undo and redo for the map that is open, by word or by key, saying what they are about. */
export function History({ mapId }: { mapId: string }) {
  const map = useMapById(mapId);
  const turn = useTurnBack(mapId);
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
  const said = turn.isError
    ? problemOf(turn.error).detail
    : turn.isSuccess
      ? turn.variables === "undo"
        ? "Taken back."
        : "Brought back."
      : "";
  return (
    <>
      <span role="status" className="max-w-72 truncate text-quiet-on-band max-sm:sr-only">
        {said}
      </span>
      <button
        type="button"
        className="min-h-11 underline-offset-4 enabled:hover:underline disabled:opacity-50"
        disabled={!undo || isPending}
        title={undo ? `Undo: ${undo.summary} (${undo.author})` : "Nothing to undo"}
        onClick={() => mutate("undo")}
      >
        Undo
      </button>
      <button
        type="button"
        className="min-h-11 underline-offset-4 enabled:hover:underline disabled:opacity-50"
        disabled={!redo || isPending}
        title={redo ? `Redo: ${redo.summary}` : "Nothing to redo"}
        onClick={() => mutate("redo")}
      >
        Redo
      </button>
    </>
  );
}
