import { useRef, useState, type PointerEvent } from "react";
import { useCommand } from "../../ui/commands";

/** How long a finger rests before the words for editing come, in milliseconds. */
const RESTS_FOR = 500;

/**
 * The words for editing come with the pointer or the focus; where there is neither, with a finger that rests, or by their
 * key. Gives what the page is marked with.
 */
export function useEditWords() {
  const [shown, show] = useState(false);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  useCommand({
    title: shown ? "Put the words for editing away" : "Show the words for editing",
    key: "e",
    run: () => show(!shown),
  });
  const stop = () => clearTimeout(timer.current);
  return {
    "data-edit-words": shown || undefined,
    onPointerDown: (event: PointerEvent) => {
      stop();
      if (event.pointerType !== "mouse") timer.current = setTimeout(() => show(true), RESTS_FOR);
    },
    onPointerUp: stop,
    onPointerMove: (event: PointerEvent) => {
      if (Math.abs(event.movementX) + Math.abs(event.movementY) > 3) stop();
    },
    onPointerCancel: stop,
  };
}
