import { useEffect, useRef, useState, type FocusEvent, type MouseEvent } from "react";
import type { Schemas } from "../../api/client";
import { hundred } from "../../labels";
import type { Overview } from "../odds";
import { lowerFirst } from "./holes";
import { reactionTitle } from "./titles";
import { indexOf } from "../../model/mapIndex";
import { PlacePicture } from "../picture";

const AFTER = 250;
const GRACE = 200;
const WIDTH = 264;

interface Place {
  gate: HTMLElement;
  situation: string;
  left: number;
  top: number;
}

/** Beside the gate, on the side where there is room. */
function beside(gate: HTMLElement): Place {
  const box = gate.getBoundingClientRect();
  const right = box.right + 6;
  const fits = right + WIDTH < window.innerWidth;
  return {
    gate,
    situation: gate.dataset.situation ?? "",
    left: fits ? right : box.left - WIDTH - 6,
    top: Math.max(8, Math.min(box.top, window.innerHeight - 360)),
  };
}

function isInSight(gate: HTMLElement): boolean {
  const box = gate.getBoundingClientRect();
  return box.bottom > 0 && box.top < window.innerHeight;
}

const gateOf = (target: EventTarget) => (target as HTMLElement).closest<HTMLElement>("[data-situation]");

const isExplanation = (target: EventTarget) => (target as HTMLElement).closest("[role=tooltip]") !== null;

const placeOf = (event: MouseEvent) => `${event.screenX} ${event.screenY}`;

/** Which gate is explained: the one that the pointer rests on or that has the focus; Escape closes it. */
export function useExplained() {
  const [at, setAt] = useState<Place>();
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  // Where the pointer rests. When something is painted under it the browser says that it came there, though nobody moved
  // it; that must not take the word from the gate that the keyboard went to.
  const pointer = useRef("");
  // There from the start, not only once something is explained: Escape may be quicker than an effect.
  useEffect(() => {
    const close = (event: KeyboardEvent) => {
      if (event.key !== "Escape") return;
      clearTimeout(timer.current);
      setAt(undefined);
    };
    const follow = () => setAt((now) => (now && isInSight(now.gate) ? beside(now.gate) : undefined));
    window.addEventListener("keydown", close);
    window.addEventListener("scroll", follow, { passive: true });
    return () => {
      clearTimeout(timer.current);
      window.removeEventListener("keydown", close);
      window.removeEventListener("scroll", follow);
    };
  }, []);
  const soon = (place: Place | undefined, delay: number) => {
    clearTimeout(timer.current);
    timer.current = setTimeout(() => setAt(place), delay);
  };
  return {
    at,
    listeners: {
      onMouseMove: (event: MouseEvent) => (pointer.current = placeOf(event)),
      onMouseOver: (event: MouseEvent) => {
        if (placeOf(event) === pointer.current) return;
        pointer.current = placeOf(event);
        const gate = gateOf(event.target);
        if (gate) soon(beside(gate), AFTER);
        else if (isExplanation(event.target)) clearTimeout(timer.current);
        else soon(undefined, GRACE);
      },
      onMouseLeave: (event: MouseEvent) => {
        if (placeOf(event) !== pointer.current) soon(undefined, GRACE);
      },
      onFocus: (event: FocusEvent) => {
        const gate = gateOf(event.target);
        if (gate?.matches(":focus-visible")) soon(beside(gate), 0);
      },
      onBlur: () => soon(undefined, 0),
    },
  };
}

/** What stands behind a gate, for whoever stops over it. */
export function Explained({
  at,
  map,
  odds,
  hole,
  narrow,
  hub,
  aside,
}: {
  at: Place;
  map: Schemas["Map"];
  odds: Overview;
  hole?: string;
  narrow: boolean;
  hub?: number;
  aside: boolean;
}) {
  const situation = indexOf(map).situation(at.situation);
  const here = odds.situations[at.situation];
  if (!situation || !here) return null;
  const best = here.best ? reactionTitle(map, here.best) : undefined;
  return (
    <div
      role="tooltip"
      style={{ left: at.left, top: at.top, width: WIDTH }}
      className="fixed z-20 border-2 border-ink bg-ground p-2.5 text-[14px] max-lg:hidden"
    >
      <PlacePicture map={map} place={situation.id} width={236} className="mb-1 max-h-40 w-full" silent />
      <p className="font-semibold">
        {situation.title}, {hundred(here.worth)} of 100
      </p>
      {here.stop ? <p>Stay here: going on is worth less.</p> : best && <p>Best now: {best}.</p>}
      <p className="text-quiet">
        Reversal {hundred(here.reversal)}, guard or better {hundred(here.guardOrBetter)}, tap{" "}
        {hundred(here.tap)}.
      </p>
      {indexOf(map)
        .mistakesFrom(situation.id)
        .map((mistake) => (
          <p key={mistake.id} className="mt-1 border-l-4 border-rust pl-2">
            <span className="font-semibold text-rust">Do not</span>{" "}
            {lowerFirst(reactionTitle(map, mistake.id))}.
          </p>
        ))}
      {narrow && <p className="mt-1 border-l-4 border-signal pl-2">Much hangs on what is taught here.</p>}
      {hub !== undefined && <p className="mt-1">A hub: answers from {hub} places lead here.</p>}
      {hole && <p className="mt-1 text-rust">{hole}</p>}
      {aside && <p className="mt-1 text-quiet">Nothing taught here is within the filter.</p>}
    </div>
  );
}
