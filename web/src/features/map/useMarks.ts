import { group } from "d3-array";
import { useMemo, type MouseEvent } from "react";
import { useNavigate, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { settingQuery, useOddsSoon, type Overview } from "../odds";
import { useFilter } from "./Filters";
import { risingIn } from "./folding";
import { holesOf } from "./holes";
import { hubsOf, NARROW, shownBy } from "./marks";
import { paths } from "./paths";
import { useMay } from "../session";

const NONE = new Map<string, string>();

/** What is marked on the map: holes, what much hangs on, hubs, what rises, and what lies outside the filter. */
export function useMarks(map: Schemas["Map"], odds: Overview, gates: Schemas["NarrowGates"] | undefined) {
  const [filter] = useFilter();
  const narrow = useMemo(() => new Set(gates?.gates.slice(0, NARROW).map((gate) => gate.situation)), [gates]);
  const hubs = useMemo(() => hubsOf(map), [map]);
  const within = useMemo(() => shownBy(map, filter), [map, filter]);
  // Whoever does not make the map is not told what is missing in it.
  const mayMend = useMay("read-maps");
  const holes = useMemo(() => (mayMend ? holesOf(map, odds) : NONE), [map, odds, mayMend]);
  const rising = useMemo(() => {
    const families = group(map.situations, (s) => s.family);
    return new Map([...families.values()].flatMap((here) => [...risingIn(here, odds.situations)]));
  }, [map, odds]);
  return {
    of: (id: string) => ({
      hole: holes.get(id),
      narrow: narrow.has(id),
      hub: hubs.has(id),
      rises: rising.get(id)?.title,
      aside: within !== undefined && !within.has(id),
    }),
    hub: (id: string) => hubs.get(id),
    isMarked: (id: string) => holes.has(id) || narrow.has(id) || hubs.has(id),
  };
}

export type Marks = ReturnType<typeof useMarks>;

/** One listener for all gates: a link of the router each would be drawn again at every move of a slider. */
export function useFollow(map: Schemas["Map"]) {
  const [params] = useSearchParams();
  const navigate = useNavigate();
  const soon = useOddsSoon(map);
  // As the address has it: following the hand, every link would be drawn again at every step.
  const query = useMemo(() => settingQuery(params), [params]);
  const follow = (event: MouseEvent) => {
    const link = (event.target as HTMLElement).closest<HTMLAnchorElement>("a[data-situation]");
    if (!link || event.button !== 0 || event.ctrlKey || event.metaKey || event.shiftKey || event.altKey)
      return;
    event.preventDefault();
    void navigate(paths.situation(map.id, link.dataset.situation!) + settingQuery(params));
  };
  return { soon, follow, query };
}

/** The places of each family that are stages of a hold, and apart from them those to rest in. */
export function usePlaces(map: Schemas["Map"]) {
  return useMemo(
    () => ({
      byFamily: group(
        map.situations.filter((s) => s.stage),
        (s) => s.family,
      ),
      resting: map.situations.filter((s) => !s.stage),
    }),
    [map],
  );
}
