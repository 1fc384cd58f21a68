import { keepPreviousData, queryOptions, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState, useSyncExternalStore } from "react";
import { api, isForLater, unwrap, type Schemas } from "../../api/client";
import { runToEnd, type Progress } from "../../api/run";
import { isMoving, onMove, underTheHand } from "./moving";
import { useMoving, useWrittenSetting, type Setting } from "./setting";
import { indexOf } from "../../model/mapIndex";
import { askAgain } from "../../api/askAgain";
import { bring, onBrought, solverOf, type Solver } from "../../solver";
import { tellOvertaken } from "./overtaken";
import { useMay } from "../session";

export type OddsData = Schemas["Odds"];
export type Overview = Schemas["OddsOverview"];

/**
 * The same revision under the same setting has the same odds for ever, so they are not asked for again; where they are all
 * the same, as when everything is, the ones that are there stay.
 */
const SOLVED_ONCE = { staleTime: Infinity } as const;

type Question = { params: { path: { mapId: string }; query: Setting }; signal: AbortSignal };

/** Something that is solved: by what name it is kept, and how this browser and the server are asked for it. */
interface Solved<T> {
  name: string;
  here: (solver: Solver, setting: Setting) => Promise<T>;
  ask: (question: Question) => Promise<T>;
}

/** What is known of people is the server's; whatever else is asked can be answered here. */
const isOfNobody = (setting: Setting) => !setting.you && !setting.they && !setting.room;

/** What solves the map in this browser; nothing where the server is to be asked. */
export function solverHere(map: Schemas["Map"], setting: Setting): Solver | undefined {
  return isOfNobody(setting) ? solverOf(map) : undefined;
}

/** Maps of more reactions than this stay with the server. */
const MOST_HERE = 2000;

const isSolvedHere = (map: Schemas["Map"]) => map.reactions.length <= MOST_HERE;

/** True where this browser can work out what is asked. */
export const mayBeSolvedHere = (map: Schemas["Map"], setting: Setting) =>
  isOfNobody(setting) && isSolvedHere(map);

/**
 * A solved map under the setting; it follows the map's revision, and a hand on the setting: whatever is shown of the map is
 * drawn anew once a step, when the answer is there. While one is on its way no other is asked for, and then the newest
 * setting is, so that a hand which never rests sees the odds move with it.
 */
function useSolved<T>(map: Schemas["Map"] | undefined, solved: Solved<T>) {
  const queries = useQueryClient();
  const written = useWrittenSetting();
  const isFollowing = useMoving();
  const mapId = map?.id;
  const [at, setAt] = useState({ mapId, written, setting: written });
  const isNew = at.mapId !== mapId || at.written !== written || (!isFollowing && at.setting !== written);
  if (isNew) setAt({ mapId, written, setting: written });
  const query = useQuery({
    ...solvedQuery(map, at.setting, solved),
    enabled: mapId !== undefined,
    placeholderData: keepPreviousData,
  });
  useBrought(map, query.isSuccess);
  useEffect(() => {
    if (!map) return;
    let isAsking = false;
    let isLeft = false;
    const follow = async () => {
      if (isAsking) return;
      isAsking = true;
      const first = solvedQuery(map, written, solved);
      if (queries.getQueryState(first.queryKey)?.fetchStatus === "fetching")
        await queries.prefetchQuery(first);
      for (let last: Partial<Setting> | undefined; isMoving() && last !== underTheHand() && !isLeft;) {
        last = underTheHand();
        const setting = { ...written, ...last };
        await queries.prefetchQuery(solvedQuery(map, setting, solved));
        if (!isLeft && isMoving()) setAt({ mapId: map.id, written, setting });
      }
      isAsking = false;
    };
    const stop = onMove(() => void follow());
    return () => {
      isLeft = true;
      stop();
    };
  }, [map, written, solved, queries]);
  return query;
}

function solvedQuery<T>(map: Schemas["Map"] | undefined, setting: Setting, { name, here, ask }: Solved<T>) {
  return queryOptions({
    queryKey: [name, map?.id, map?.revision, setting],
    ...SOLVED_ONCE,
    queryFn: ({ signal }) => {
      const there = () => ask({ params: { path: { mapId: map!.id }, query: setting }, signal });
      const solver = solverHere(map!, setting);
      if (solver) return here(solver, setting).catch(there);
      return there().catch(async (error: unknown) => {
        // Where the server is away, this browser solves what it has kept.
        if (!isForLater(error) || !mayBeSolvedHere(map!, setting)) throw error;
        await bring(map!);
        const kept = solverHere(map!, setting);
        if (!kept) throw error;
        return here(kept, setting);
      });
    },
  });
}

/** Brings the map into this browser's solver once something of it has been painted and nothing else is to be done. */
function useBrought(map: Schemas["Map"] | undefined, isPainted: boolean) {
  const queries = useQueryClient();
  useEffect(() => {
    if (!map || !isPainted || !isSolvedHere(map)) return;
    const now = async () => {
      const came = await bring(map);
      if (came === undefined || came <= map.revision) return;
      tellOvertaken(map.id, came);
      await askAgain(queries, { queryKey: ["map", map.id] });
    };
    // Not every browser tells when it has nothing to do.
    if (typeof requestIdleCallback === "undefined") {
      const later = setTimeout(() => void now(), 200);
      return () => clearTimeout(later);
    }
    const idle = requestIdleCallback(() => void now());
    return () => cancelIdleCallback(idle);
  }, [map, isPainted, queries]);
}

/** True once this browser solves the map by itself; until then, and for what is known of people, the server does. */
export function useSolvesHere(map: Schemas["Map"]): boolean {
  const setting = useWrittenSetting();
  return useSyncExternalStore(onBrought, () => solverHere(map, setting) !== undefined);
}

const ODDS: Solved<OddsData> = {
  name: "odds",
  here: (solver, setting) => solver.odds(setting),
  ask: (question: Question) => unwrap(api.GET("/api/maps/{mapId}/odds", question)),
};
const OVERVIEW: Solved<Overview> = {
  name: "overview",
  here: (solver, setting) => solver.overview(setting),
  ask: (question: Question) => unwrap(api.GET("/api/maps/{mapId}/odds/overview", question)),
};

/** The odds of a map: every situation, reaction and response. */
export function useOdds(map: Schemas["Map"] | undefined) {
  return useSolved(map, ODDS);
}

/** What each situation is worth, for a view of the whole map. */
export function useOverview(map: Schemas["Map"] | undefined) {
  return useSolved(map, OVERVIEW);
}

/** The whole map under another setting than the one in the address, to lay beside it. */
export function useOtherOverview(map: Schemas["Map"] | undefined, other: Partial<Setting> | undefined) {
  const setting = useWrittenSetting();
  return useQuery({
    ...solvedQuery(map, { ...setting, ...other }, OVERVIEW),
    enabled: map !== undefined && other !== undefined,
  });
}

/** Asks for the odds when they are about to be wanted. */
export function useOddsSoon(map: Schemas["Map"]): () => void {
  const queries = useQueryClient();
  const written = useWrittenSetting();
  return () => void queries.prefetchQuery(solvedQuery(map, { ...written, ...underTheHand() }, ODDS));
}

export function useAim(map: Schemas["Map"] | undefined): Schemas["Aim"] | undefined {
  const setting = useWrittenSetting();
  return map && (indexOf(map).aim(setting.aim) ?? map.aims[0]);
}

/** The odds as they were before they were changed here, until that is cleared. */
export function useWas<T extends object>(odds: T | undefined): { was: T | undefined; clear: () => void } {
  const [seen, setSeen] = useState(odds);
  const [was, setWas] = useState<T>();
  // While drawing, not after it: everything would be drawn twice at every step of a slider.
  if (odds !== seen) {
    setSeen(odds);
    if (odds && seen && !was) setWas(seen);
  }
  return { was, clear: () => setWas(undefined) };
}

/** Something computed for a map under the setting at rest; the last answer stays on screen until the next is there. */
function useComputed<T>(
  name: string,
  map: Schemas["Map"] | undefined,
  ask: (params: { path: { mapId: string }; query: Setting }, signal: AbortSignal) => Promise<T>,
  about?: unknown,
) {
  const setting = useWrittenSetting();
  return useQuery({
    queryKey: [name, map?.id, map?.revision, setting, about],
    enabled: map !== undefined,
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) => ask({ path: { mapId: map!.id }, query: setting }, signal),
  });
}

/** The same for what may take long on a large map: it tells how far it is, and stops when nobody looks any more. */
function useRun<T>(
  kind: "gates" | "review",
  map: Schemas["Map"] | undefined,
  result: (run: Schemas["Run"]) => T | undefined,
) {
  const setting = useWrittenSetting();
  const [progress, setProgress] = useState<Progress>();
  const mayRun = useMay("read-maps");
  const query = useQuery({
    queryKey: [kind, map?.id, map?.revision, setting, undefined],
    enabled: map !== undefined && mayRun,
    placeholderData: keepPreviousData,
    queryFn: async ({ signal }) => {
      setProgress(undefined);
      const run = await runToEnd(map!.id, { kind, question: { ...setting } }, signal, setProgress);
      return result(run)!;
    },
  });
  return { ...query, progress };
}

/** What everything hangs on: the map without each reaction in turn. */
export function useGates(map: Schemas["Map"] | undefined) {
  return useRun("gates", map, (run) => run.gates);
}

/** The map's weaknesses, those that cost most first. */
export function useReview(map: Schemas["Map"] | undefined) {
  return useRun("review", map, (run) => run.findings);
}

/** Everything that nobody has answered, by what an answer would be worth. */
export function useQuestions(map: Schemas["Map"] | undefined) {
  return useComputed("questions", map, (params, signal) =>
    unwrap(api.GET("/api/maps/{mapId}/questions", { params, signal })),
  );
}

/** What a late start costs. */
export function useLateCurve(map: Schemas["Map"] | undefined) {
  return useComputed("late", map, (params, signal) =>
    unwrap(api.GET("/api/maps/{mapId}/odds/late", { params, signal })),
  );
}

/** Where 100 starts go, exchange by exchange, from the starts or from one situation. */
export function useFlow(map: Schemas["Map"] | undefined, from: string | undefined, exchanges: number) {
  return useComputed(
    "flow",
    map,
    ({ path, query }, signal) =>
      unwrap(
        api.GET("/api/maps/{mapId}/odds/flow", {
          params: { path, query: { ...query, from, exchanges } },
          signal,
        }),
      ),
    [from, exchanges],
  );
}

/** So many of the commonest ways are told. */
const TOLD_WAYS = 5;

/** The commonest ways a round goes. */
export function useStories(map: Schemas["Map"] | undefined, from: string | undefined) {
  return useComputed(
    "stories",
    map,
    ({ path, query }, signal) =>
      unwrap(
        api.GET("/api/maps/{mapId}/odds/stories", {
          params: { path, query: { ...query, from, most: TOLD_WAYS } },
          signal,
        }),
      ),
    from,
  );
}

/** What each stance is worth. */
export function useStances(map: Schemas["Map"] | undefined) {
  return useComputed("stances", map, (params, signal) =>
    unwrap(api.GET("/api/maps/{mapId}/odds/stances", { params, signal })),
  );
}

/** At each resting place: stop or go on. */
export function useRestAdvice(map: Schemas["Map"] | undefined) {
  return useComputed("rest", map, (params, signal) =>
    unwrap(api.GET("/api/maps/{mapId}/odds/rest", { params, signal })),
  );
}

/** The odds under another setting than the one in the address, to lay beside it. */
export function useOtherOdds(map: Schemas["Map"] | undefined, other: Partial<Setting> | undefined) {
  const setting = useWrittenSetting();
  return useQuery({
    ...solvedQuery(map, { ...setting, ...other }, ODDS),
    enabled: map !== undefined && other !== undefined,
  });
}

/** Where a reaction's worth comes from and where it is lost; of the same reaction the last answer stays meanwhile. */
export function useExplanation(map: Schemas["Map"], reaction: string | undefined) {
  const setting = useWrittenSetting();
  return useQuery({
    queryKey: ["explanation", map.id, map.revision, setting, reaction],
    enabled: reaction !== undefined,
    placeholderData: (previous: Schemas["Explanation"] | undefined, query) =>
      query?.queryKey[4] === reaction ? previous : undefined,
    queryFn: ({ signal }) =>
      unwrap(
        api.GET("/api/maps/{mapId}/odds/explanation", {
          params: { path: { mapId: map.id }, query: { ...setting, reaction: reaction! } },
          signal,
        }),
      ),
  });
}
