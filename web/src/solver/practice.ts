import type { Packed } from "#solver";
import type { Schemas } from "../api/client";
import { Line } from "./line";
import { deckOf, lookAlikesOf, stated, type Cue } from "./unpack";

export type { Cue };

/** What one learns to read on a map, worked out in this browser: for where the server is away. */
export interface Practice {
  /** Cues for somebody of whom nothing is known; the same for a seed. */
  deck: (setting: object, seed: number) => Promise<Cue[]>;
  lookAlikes: (setting: object) => Promise<Schemas["LookAlike"][]>;
}

const CARDS = 20;

const line = new Line(
  () => new Worker(new URL("./practiceWorker.ts", import.meta.url), { type: "module" }),
  () => (held = undefined),
);
/** The map that the worker holds or is about to, and of which revision it came. */
let held: { id: string; revision: Promise<number> } | undefined;

/**
 * Practice on a map in the revision that is on screen; what asks first waits until the worker has the map.
 *
 * @throws where another revision came, or none
 */
export async function practiceOf(map: Pick<Schemas["Map"], "id" | "revision">): Promise<Practice> {
  let mine = held;
  if (mine?.id !== map.id || (await mine.revision.catch(() => 0)) < map.revision) {
    const revision = line
      .ask({ call: "bring", mapId: map.id })
      .then((value) => (value as { revision: number }).revision);
    held = mine = { id: map.id, revision };
  }
  if ((await mine.revision) !== map.revision || held !== mine)
    throw new Error("Another map or revision came.");
  const of = async (call: string, ...given: unknown[]) => (await line.ask({ call, with: given })) as Packed;
  return {
    deck: async (setting, seed) => deckOf(await of("deck", stated(setting), CARDS, seed)),
    lookAlikes: async (setting) => lookAlikesOf(await of("lookAlikes", stated(setting))),
  };
}

/** Numbers from 0 to below `calls`, each so often, in an order that the one who must read them cannot guess. */
export async function callOrder(calls: number, repetitions: number, seed: number): Promise<number[]> {
  const packed = (await line.ask({ call: "calls", with: [calls, repetitions, seed] })) as Packed;
  return [...packed.marks];
}
