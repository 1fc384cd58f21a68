import type { Packed } from "#solver";
import { ApiError, type Schemas } from "../api/client";
import type { Asked, Said } from "./messages";
import { likelyOf, oddsOf, overviewOf, stated } from "./unpack";

type MapAt = Pick<Schemas["Map"], "id" | "revision">;
type Call = Extract<Asked, { with: unknown[] }>["call"];

/** The worker answers about one map at a time: the one last brought. */
export interface Solver {
  overview: (setting: object) => Promise<Schemas["OddsOverview"]>;
  odds: (setting: object) => Promise<Schemas["Odds"]>;
  preview: (parts: object[], setting: object) => Promise<Schemas["OddsOverview"]>;
  held: (marks: object, setting: object) => Promise<Schemas["LikelySituations"]>;
}

let worker: Worker | undefined;
let asked = 0;
const waiting = new Map<number, { done: (value: Said["value"]) => void; fail: (error: Error) => void }>();
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

function started(): Worker {
  if (worker) return worker;
  worker = new Worker(new URL("./worker.ts", import.meta.url), { type: "module" });
  worker.addEventListener("message", ({ data }: MessageEvent<Said>) => {
    const asker = waiting.get(data.number);
    waiting.delete(data.number);
    if (data.problems)
      asker?.fail(
        new ApiError({
          status: 400,
          title: "",
          detail: data.problems[0]?.message ?? "",
          problems: data.problems,
        }),
      );
    else if (data.failed !== undefined) asker?.fail(new Error(data.failed));
    else asker?.done(data.value);
  });
  worker.addEventListener("error", giveUp);
  return worker;
}

/** Where the worker cannot be had, the server answers as it always did. */
function giveUp(): void {
  worker?.terminate();
  worker = undefined;
  brought = undefined;
  waiting.forEach(({ fail }) => fail(new Error("The worker has stopped.")));
  waiting.clear();
  tell();
}

function ask(
  question: { call: "bring"; mapId: string } | { call: Call; with: unknown[] },
): Promise<Said["value"]> {
  const number = ++asked;
  return new Promise((done, fail) => {
    waiting.set(number, { done, fail });
    started().postMessage({ number, ...question });
  });
}

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
  coming.ready = ask({ call: "bring", mapId: map.id }).then(
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
  const of = (call: Call, ...with_: unknown[]) => ask({ call, with: with_ }).then((value) => value as Packed);
  return {
    overview: async (setting) => overviewOf(await of("overview", stated(setting)), map.revision),
    odds: async (setting) => oddsOf(await of("odds", stated(setting)), map.revision),
    preview: async (parts, setting) => overviewOf(await of("preview", parts, stated(setting)), map.revision),
    held: async (marks, setting) => likelyOf(await of("held", stated(marks), stated(setting))),
  };
}
