import type { Packed } from "#solver";
import type { Schemas } from "../api/client";
import { Line } from "./line";
import { likelyOf, oddsOf, overviewOf, stated } from "./unpack";

type MapAt = Pick<Schemas["Map"], "id" | "revision">;

/** The worker answers about one map at a time: the one last brought. */
export interface Solver {
  overview: (setting: object) => Promise<Schemas["OddsOverview"]>;
  odds: (setting: object) => Promise<Schemas["Odds"]>;
  preview: (parts: object[], setting: object) => Promise<Schemas["OddsOverview"]>;
  held: (marks: object, setting: object) => Promise<Schemas["LikelySituations"]>;
}

/** What the worker holds, or is about to. */
let brought: (MapAt & { ready: Promise<number | undefined>; isReady: boolean }) | undefined;
const listeners = new Set<() => void>();

function tell(): void {
  listeners.forEach((listener) => listener());
}

/** Calls whenever what the worker holds has changed. */
export function onBrought(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Where the worker cannot be had, the server answers as it always did. */
const line = new Line(
  () => new Worker(new URL("./worker.ts", import.meta.url), { type: "module" }),
  () => {
    brought = undefined;
    tell();
  },
);

/**
 * Brings a map into the worker and says of which revision it came: a later one where somebody changed it meanwhile, nothing
 * where it could not be had. What is there or on its way is not brought again.
 */
export function bring(map: MapAt): Promise<number | undefined> {
  if (typeof Worker === "undefined") return Promise.resolve(undefined);
  if (brought?.id === map.id && brought.revision === map.revision) return brought.ready;
  const coming: NonNullable<typeof brought> = {
    ...{ id: map.id, revision: map.revision, isReady: false },
    ready: Promise.resolve(undefined),
  };
  brought = coming;
  coming.ready = line.ask({ call: "bring", mapId: map.id }).then(
    (value) => {
      coming.revision = (value as { revision: number }).revision;
      coming.isReady = brought === coming;
      tell();
      return coming.revision;
    },
    () => {
      if (brought === coming) brought = undefined;
      return undefined;
    },
  );
  return coming.ready;
}

/** The solver of a map where the worker holds it at that revision; nothing where the server must be asked. */
export function solverOf(map: MapAt): Solver | undefined {
  if (!brought?.isReady || brought.id !== map.id || brought.revision !== map.revision) return undefined;
  const of = async (call: string, ...given: unknown[]) => (await line.ask({ call, with: given })) as Packed;
  return {
    overview: async (setting) => overviewOf(await of("overview", stated(setting)), map.revision),
    odds: async (setting) => oddsOf(await of("odds", stated(setting)), map.revision),
    preview: async (parts, setting) => overviewOf(await of("preview", parts, stated(setting)), map.revision),
    held: async (marks, setting) => likelyOf(await of("held", stated(marks), stated(setting))),
  };
}
