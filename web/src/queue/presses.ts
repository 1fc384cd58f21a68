import { useCallback } from "react";
import { api, isForLater, problemOf, unwrap, type Schemas } from "../api/client";
import { isOwnersBrowser } from "../ui/kept";
import { outbox, useAgain, useWaiting } from "./outbox";

/** A press on its way to a class on the mat. */
export interface OnItsWay {
  /** The class that it is for, and the map of it; a clicker's link knows no map and sends from its own page. */
  lesson: string;
  mapId?: string;
  press: Schemas["MatPress"];
  /** When it was made, by this device's clock. */
  at: number;
  refused?: string;
}

/** What was pressed while the network was away; it survives a reload. */
export const PRESSES = outbox<OnItsWay>("presses", ({ press, at, refused }) => ({
  id: press.id,
  words: "A press on the mat",
  at: new Date(at).toISOString(),
  refused,
}));

/** Classes whose pages are open: each sends what is its own, and shows what comes of it. */
const steered = new Set<string>();

/** Takes the sending of a class's presses over until what it gives is called. */
export function steers(lesson: string): () => void {
  steered.add(lesson);
  return () => void steered.delete(lesson);
}

/** Steers a class for whoever is signed in. */
export function pressOf(mapId: string, lesson: string) {
  return (press: Schemas["MatPress"]): Promise<Schemas["Mat"]> =>
    unwrap(
      api.POST("/api/maps/{mapId}/classes/{lesson}/mat/presses", {
        params: { path: { mapId, lesson } },
        body: press,
      }),
    );
}

function next(): OnItsWay | undefined {
  return PRESSES.waiting().find(
    (one) => one.mapId !== undefined && one.refused === undefined && !steered.has(one.lesson),
  );
}

let sending = false;

/** One after the other, in the order in which they were made. */
async function send(): Promise<void> {
  if (sending) return;
  sending = true;
  try {
    for (let one = next(); one && isOwnersBrowser(); one = next()) {
      const { id } = one.press;
      try {
        await pressOf(one.mapId!, one.lesson)({ ...one.press, ago: Math.max(0, Date.now() - one.at) });
        PRESSES.keep(PRESSES.waiting().filter(({ press }) => press.id !== id));
      } catch (error) {
        if (isForLater(error)) return;
        const { detail } = problemOf(error);
        PRESSES.keep(
          PRESSES.waiting().map((other) => (other.press.id === id ? { ...other, refused: detail } : other)),
        );
      }
    }
  } finally {
    sending = false;
  }
}

/** Sends presses of classes whose pages were left before there was a network again. */
export function useSendingPresses(): void {
  const waiting = useWaiting(PRESSES);
  const flush = useCallback(() => send(), []);
  useAgain(
    waiting.some((one) => one.mapId !== undefined && one.refused === undefined),
    flush,
  );
}
