import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { api, problemOf, unwrap, type Problem, type Schemas } from "../../api/client";
import type { Seen } from "../../ui/body/SeenFrom";
import { expectHand, underTheHand } from "../../solver/hand";
import type { Frame } from "../../ui/body/TwoBodies";
import type { Part, PartInput } from "./parts";

export type Drawn = Schemas["PostureDrawn"];

/** Where a joint is taken, as the picture shows it; a stature is 1000. */
export type Move = Omit<Schemas["PostureMove"], "done">;

/** A posture as it would be, which is the last of the parts, and how it is seen. */
export interface Asked {
  parts: PartInput[];
  posture: string;
  view: Seen;
}

function preview(map: Schemas["Map"], asked: Asked, move?: Schemas["PostureMove"], signal?: AbortSignal) {
  return unwrap(
    api.POST("/api/maps/{mapId}/pictures/preview", {
      params: { path: { mapId: map.id } },
      body: { ...asked, move },
      signal,
    }),
  );
}

/** A posture as it would be. */
export function usePosture(map: Schemas["Map"], asked: Asked | undefined) {
  return useQuery({
    queryKey: ["posture-preview", map.id, map.revision, JSON.stringify(asked)],
    enabled: asked !== undefined,
    placeholderData: keepPreviousData,
    gcTime: 10_000,
    retry: false,
    queryFn: ({ signal }) => preview(map, asked!, undefined, signal),
  });
}

/**
 * Taking a joint elsewhere. What is seen under the hand is worked out in this browser once that is quick, by the server until
 * then; what is let go is the server's. While an answer is on its way no other is asked for; then the newest is, so that the picture
 * follows a hand that never rests. What is let go comes back as a posture; what is moved meanwhile waits for that.
 */
export function useNudge(
  map: Schemas["Map"],
  asked: Asked | undefined,
  /** The bodies as they lie, where what is asked for has been drawn. */
  lies: object | undefined,
  onDone: (part: Part, drawn: Drawn) => void,
) {
  const [drawn, setDrawn] = useState<{ seen: Drawn; of: string }>();
  const [problem, setProblem] = useState<Problem>();
  const next = useRef<{ asked: Asked; lies?: object; move: Schemas["PostureMove"] }>(undefined);
  const waiting = useRef<Schemas["PostureMove"]>(undefined);
  /** The posture of which something was let go and has not come back; another posture is what came of it. */
  const [settling, setSettling] = useState<string>();
  const settlingNow = useRef<string>(undefined);
  const settle = (posture: string | undefined) => {
    settlingNow.current = posture;
    setSettling(posture);
  };
  /** Something was moved while what was let go before it had not come back. */
  const [waits, setWaits] = useState(false);
  /** Counts what was given up; an answer to something given up is not shown. */
  const turn = useRef(0);
  const running = useRef(-1);
  const told = useRef(onDone);
  const name = JSON.stringify(asked);
  const run = async () => {
    const mine = turn.current;
    if (running.current === mine) return;
    running.current = mine;
    while (next.current) {
      const now = next.current;
      next.current = undefined;
      try {
        const here = now.move.done || !now.lies ? undefined : await underTheHand(now.lies, now.move);
        const seen = here ?? (await preview(map, now.asked, now.move));
        if (turn.current !== mine) return;
        setProblem(undefined);
        setDrawn({ seen, of: JSON.stringify(now.asked) });
        if (seen.told) {
          told.current(seen.told.part as Part, seen);
          settle(undefined);
        }
      } catch (error) {
        if (turn.current !== mine) return;
        settle(undefined);
        setDrawn(undefined);
        setProblem(problemOf(error));
      }
    }
    running.current = -1;
  };
  const ask = (move: Schemas["PostureMove"]) => {
    next.current = { asked: asked!, lies, move };
    if (move.done) settle(name);
    void run();
  };
  useEffect(() => {
    told.current = onDone;
  });
  useEffect(() => {
    if (lies) expectHand(lies);
  }, [lies]);
  // What was let go is part of the posture now: what was moved meanwhile goes on from there.
  useEffect(() => {
    const move = waiting.current;
    if (settling !== undefined || !move || !asked) return;
    waiting.current = undefined;
    setWaits(false);
    ask(move);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- only what came back lets what waits go on
  }, [name, settling]);
  return {
    /** What is seen while it is moved, and until the posture that came of it is drawn. */
    drawn,
    problem,
    /** True until what was let go has come back as a posture. */
    busy: waits || (settling !== undefined && settling === name),
    move: (move: Move, done: boolean) => {
      if (!asked) return;
      if (settlingNow.current === name) {
        waiting.current = { ...move, done };
        setWaits(true);
      } else ask({ ...move, done });
    },
    /** As if nothing had been moved. */
    giveUp: () => {
      next.current = undefined;
      waiting.current = undefined;
      setWaits(false);
      settle(undefined);
      turn.current++;
      setDrawn(undefined);
    },
  };
}

/** Fields in which a posture says where the joints are and what touches what. */
const SHAPE = ["you", "they", "base", "swap", "mirror", "move", "mat", "rests", "grips"];

/** What is typed, with the shape that came back; what is seen is the other posture's words where nothing else is typed. */
export function withShape(value: Part, part: Part): Part {
  const rest = Object.fromEntries(Object.entries(value).filter(([name]) => !SHAPE.includes(name)));
  return { ...part, ...rest };
}

/** The parts of which a posture is drawn: what it is called and what is said of it makes no difference to that. */
export function drawnOf(parts: PartInput[], posture: string): PartInput[] {
  return parts.map((one) =>
    one.list === "postures" && one.id === posture
      ? { ...one, part: { ...one.part, title: "Posture", says: undefined } }
      : one,
  );
}

/** The room that a picture takes about the middle of the mat. */
export interface Room {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

const MARGIN = 24;

/** The room in which a picture fits beside what fitted before: it grows and never shrinks while something is moved. */
export function grown(room: Room | undefined, drawn: Drawn): Room {
  const { middle, drawing } = drawn;
  const now = {
    left: -middle.x - MARGIN,
    top: -middle.y - MARGIN,
    right: drawing.width - middle.x + MARGIN,
    bottom: drawing.height - middle.y + MARGIN,
  };
  if (!room) return now;
  const next = {
    left: Math.min(room.left, now.left),
    top: Math.min(room.top, now.top),
    right: Math.max(room.right, now.right),
    bottom: Math.max(room.bottom, now.bottom),
  };
  return Object.entries(next).every(([side, value]) => room[side as keyof Room] === value) ? room : next;
}

/** The same in units of a picture. */
export function frameIn(room: Room, drawn: Drawn): Frame {
  return {
    x: drawn.middle.x + room.left,
    y: drawn.middle.y + room.top,
    width: room.right - room.left,
    height: room.bottom - room.top,
  };
}

/** One of the two by a posture's word for it: "they.hand-left" is "their left hand". */
export function jointInWords(written: string): string {
  const [who, what = ""] = written.split(".");
  const [, name = what, side] = /^(.*)-(left|right)$/.exec(what) ?? [];
  return [who === "you" ? "your" : "their", side, name.replace(/-/g, " ")].filter(Boolean).join(" ");
}

/** What bodies do not do, in words; nothing where they do it all. */
export function faultsInWords(faults: Drawn["faults"]): string[] {
  const said: string[] = [];
  if (faults.overlap > 1.5 && faults.overlapping) {
    const pair = faults.overlapping.split(" and ").map(jointInWords).join(" and ");
    said.push(`${pair} go ${faults.overlap.toFixed(0)} cm into each other`);
  }
  if (faults.degrees > 5 && faults.joint)
    said.push(`${jointInWords(faults.joint)} turns ${faults.degrees.toFixed(0)}° too far`);
  return said;
}
