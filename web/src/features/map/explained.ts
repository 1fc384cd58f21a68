import { useEffect, useRef, useState, type FocusEvent, type MouseEvent } from "react";

const AFTER = 250;

/** The gate that is looked at. */
export interface LookedAt {
  gate: HTMLElement;
  situation: string;
}

const gateOf = (target: EventTarget) => (target as HTMLElement).closest<HTMLElement>("[data-situation]");

const lookAt = (gate: HTMLElement): LookedAt => ({ gate, situation: gate.dataset.situation ?? "" });

const placeOf = (event: MouseEvent) => `${event.screenX} ${event.screenY}`;

/**
 * Which gate is told of beside the map: the one that the pointer rested on last or that has the focus. It stays when the
 * pointer goes on, so that what is told can be read and used; Escape lets go of it.
 */
export function useExplained() {
  const [at, setAt] = useState<LookedAt>();
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  // Where the pointer rests. When something is painted under it the browser says that it came there, though nobody moved
  // it; that must not take the word from the gate that the keyboard went to.
  const pointer = useRef("");
  // There from the start, not only once something is told: Escape may be quicker than an effect.
  useEffect(() => {
    const close = (event: KeyboardEvent) => {
      if (event.key !== "Escape") return;
      clearTimeout(timer.current);
      setAt(undefined);
    };
    window.addEventListener("keydown", close);
    return () => {
      clearTimeout(timer.current);
      window.removeEventListener("keydown", close);
    };
  }, []);
  const soon = (looked: LookedAt, delay: number) => {
    clearTimeout(timer.current);
    timer.current = setTimeout(() => setAt(looked), delay);
  };
  return {
    at,
    listeners: {
      onMouseMove: (event: MouseEvent) => (pointer.current = placeOf(event)),
      onMouseOver: (event: MouseEvent) => {
        if (placeOf(event) === pointer.current) return;
        pointer.current = placeOf(event);
        const gate = gateOf(event.target);
        if (gate) soon(lookAt(gate), AFTER);
        else clearTimeout(timer.current);
      },
      onFocus: (event: FocusEvent) => {
        const gate = gateOf(event.target);
        if (gate?.matches(":focus-visible")) soon(lookAt(gate), 0);
      },
    },
  };
}

export type ExplainedGate = ReturnType<typeof useExplained>;
