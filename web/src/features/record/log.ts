import { useQuery } from "@tanstack/react-query";
import { api, unwrap, type Schemas } from "../../api/client";
import { isoDay } from "../../ui/days";
import { useSettled } from "../../ui/settled";
import type { Event, Waiting } from "./events";

export type Tonight = Schemas["RecordTonight"];
export type Ending = NonNullable<Event["ending"]>;

/** Two people, and who of them is below. */
export interface Pair {
  bottom: string;
  top: string;
}

/** A round of today, logged or waiting to be. */
export interface Logged {
  id: string;
  at: string;
  bottom: string;
  top?: string;
  start: string;
  ending: Ending;
}

export function useTonight(mapId: string | undefined) {
  return useQuery({
    queryKey: ["tonight", mapId],
    queryFn: () =>
      unwrap(api.GET("/api/maps/{mapId}/record/tonight", { params: { path: { mapId: mapId! } } })),
    enabled: mapId !== undefined,
  });
}

/** More than are logged in an evening. */
const NEWEST = 200;

/** Rounds, repetitions and decisions of the record, the newest first; of one day, as a date is written, where it is given. */
export function useLogged(mapId: string | undefined, day?: string) {
  const since = day && new Date(`${day}T00:00`).toISOString();
  return useQuery({
    queryKey: ["record", mapId, "logged", since],
    queryFn: () =>
      unwrap(
        api.GET("/api/maps/{mapId}/record/events", {
          params: { path: { mapId: mapId! }, query: { most: NEWEST, since } },
        }),
      ),
    enabled: mapId !== undefined,
  });
}

/** Whoever logs the next pair within so many milliseconds does not want to know; learning takes longer than that. */
const LOOKED_AT = 700;

/** What a place is believed to be worth by now, once somebody stays to see it. */
export function useLearned(mapId: string, place: string, wanted: boolean) {
  const stays = useSettled(wanted, LOOKED_AT);
  return useQuery({
    queryKey: ["record", mapId, "learned", place],
    queryFn: () =>
      unwrap(api.GET("/api/maps/{mapId}/record/places/{place}", { params: { path: { mapId, place } } })),
    enabled: wanted && stays,
  });
}

/** Today's rounds, the newest first: what the server knows and what waits here, without what was taken out. */
export function today(
  logged: Schemas["LoggedEvent"][] | undefined,
  waiting: readonly Waiting[],
  mapId: string,
  now = new Date(),
): Logged[] {
  const here = waiting
    .filter((one) => one.mapId === mapId && one.refused === undefined)
    .map((one) => one.event);
  const out = new Set(here.flatMap((event) => (event.kind === "void" ? [event.voids] : [])));
  const all = new Map<string, Logged>();
  logged
    ?.filter(({ kind, at, person }) => kind === "round" && person && isoDay(new Date(at)) === isoDay(now))
    .forEach((round) =>
      all.set(round.id, {
        id: round.id,
        at: round.at,
        bottom: round.person!,
        top: round.partner ?? undefined,
        start: round.place!,
        ending: round.ending!,
      }),
    );
  here
    .filter((event) => event.kind === "round")
    .forEach((event) =>
      all.set(event.id, {
        id: event.id,
        at: event.at,
        bottom: event.person!,
        top: event.partner ?? undefined,
        start: event.start!,
        ending: event.ending!,
      }),
    );
  return [...all.values()]
    .filter((round) => !out.has(round.id))
    .sort((one, other) => other.at.localeCompare(one.at));
}

/** True for the same two, whoever is below. */
export function same(one: Pair, other: { bottom: string; top?: string }): boolean {
  return (
    (one.bottom === other.bottom && one.top === other.top) ||
    (one.bottom === other.top && one.top === other.bottom)
  );
}

/** How many rounds of today a pair has logged from a place. */
export function loggedOf(pair: Pair, start: string | undefined, rounds: Logged[]): number {
  return rounds.filter((round) => same(pair, round) && (start === undefined || round.start === start)).length;
}

/** Who comes next after a pair: the next one in the list with the fewest rounds from that place, so that nobody is passed over. */
export function nextPair(pairs: Pair[], after: Pair, start: string, rounds: Logged[]): Pair | undefined {
  const at = pairs.findIndex((pair) => same(pair, after));
  const others = [...pairs.slice(at + 1), ...pairs.slice(0, Math.max(0, at))];
  const least = Math.min(...others.map((pair) => loggedOf(pair, start, rounds)));
  return others.find((pair) => loggedOf(pair, start, rounds) === least);
}

export function swapped(pair: Pair): Pair {
  return { bottom: pair.top, top: pair.bottom };
}

/** Rounds of the same two that were logged within so many milliseconds are likely the same one, logged on two devices. */
const SAME_ROUND = 180_000;

/** A round that was logged elsewhere and is likely the same one. */
export function twinOf(
  logged: { id: string; at: string; pair: Pair; start: string },
  rounds: Logged[],
): Logged | undefined {
  return rounds.find(
    (round) =>
      round.id !== logged.id &&
      round.bottom === logged.pair.bottom &&
      round.top === logged.pair.top &&
      round.start === logged.start &&
      Math.abs(Date.parse(round.at) - Date.parse(logged.at)) < SAME_ROUND,
  );
}
