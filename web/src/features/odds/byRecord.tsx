import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useMemo } from "react";
import { api, unwrap, type Schemas } from "../../api/client";
import { useAddress } from "../../ui/address";
import { usePeople } from "../pair";
import { useMay } from "../session";
import type { Overview } from "./odds";
import { useWrittenSetting } from "./setting";

/** Whose rounds the figures come from: everybody's, or those of one person; what stands on the map where it is missing. */
const EVERYBODY = "record";

/** Odds by what was logged. */
export interface ByRecord {
  /** The map with them in place of its own. */
  odds: Overview;
  /** What is known of each place. */
  places: Record<string, Schemas["Learned"]>;
  start: Schemas["LearnedStarts"];
  /** Rounds that stand in the record. */
  rounds: number;
}

/** By whose rounds the odds are asked for; it lives in the address. */
export function useWhose(): [string | undefined, (whose: string | undefined) => void] {
  const [params, write] = useAddress();
  const may = useMay("keep-record");
  return [may ? (params.get("by") ?? undefined) : undefined, (whose) => write({ by: whose })];
}

/** The odds under the setting by what was logged. */
export function useLearnedOdds(map: Schemas["Map"] | undefined, whose: string | undefined) {
  const setting = useWrittenSetting();
  const person = whose === EVERYBODY ? undefined : whose;
  return useQuery({
    queryKey: ["record", map?.id, "odds", map?.revision, setting, person],
    enabled: map !== undefined && whose !== undefined,
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) =>
      unwrap(
        api.GET("/api/maps/{mapId}/record/odds", {
          params: { path: { mapId: map!.id }, query: { ...setting, person } },
          signal,
        }),
      ),
  });
}

/** The map by what was logged, where that is wanted and there. */
export function useByRecord(
  map: Schemas["Map"] | undefined,
  odds: Overview | undefined,
): ByRecord | undefined {
  const [whose] = useWhose();
  const learned = useLearnedOdds(map, whose).data;
  return useMemo(() => {
    if (!odds || !learned || whose === undefined) return undefined;
    const places = Object.fromEntries(learned.places.map((one) => [one.place, one]));
    const situations = Object.fromEntries(
      Object.entries(odds.situations).map(([id, at]) => [
        id,
        places[id] ? { ...at, worth: places[id].likely } : at,
      ]),
    );
    return {
      odds: { ...odds, start: learned.starts.likely, situations },
      places,
      start: learned.starts,
      rounds: learned.rounds,
    };
  }, [odds, learned, whose]);
}

/** Picks whose figures are shown: those of the map, where these are among them, those of everybody's rounds, one person's. */
export function ByWhom({ map = false }: { map?: boolean }) {
  // Whoever may not see them does not even ask who there is.
  return useMay("keep-record") && <Whose map={map} />;
}

function possessive(name: string): string {
  return name.endsWith("s") ? `${name}’` : `${name}’s`;
}

function Whose({ map }: { map: boolean }) {
  const [whose, choose] = useWhose();
  const people = usePeople();
  const gone = whose !== undefined && whose !== EVERYBODY && people.data?.every((one) => one.id !== whose);
  return (
    <label>
      <span className="sr-only">Figures from</span>
      <select
        className="word [field-sizing:content] max-w-52 bg-ground"
        value={whose ?? (map ? "" : EVERYBODY)}
        onChange={(event) => choose(event.target.value || undefined)}
      >
        {map && <option value="">by the map</option>}
        <option value={EVERYBODY}>by everybody’s rounds</option>
        {gone && <option value={whose}>somebody who is gone: by the map</option>}
        {people.data?.map((person) => (
          <option key={person.id} value={person.id}>
            by {possessive(person.name)} rounds
          </option>
        ))}
      </select>
    </label>
  );
}
