import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { Link, useSearchParams } from "react-router";
import { api, unwrap, type Schemas } from "../../api/client";
import { hundred } from "../../labels";
import { indexOf } from "../../model/mapIndex";
import { paths, reactionTitle } from "../map";
import { practised } from "../../solver/practised";
import { mayBeSolvedHere, settingQuery, useWrittenSetting } from "../odds";

/** So many are told; the dearest. */
const TOLD = 3;

/** What is easily taken for one another on the map, the dearest first. */
export function useLookAlikes(map: Schemas["Map"]) {
  const setting = useWrittenSetting();
  return useQuery({
    queryKey: ["look-alikes", map.id, map.revision, setting],
    staleTime: Infinity,
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) =>
      practised(
        map,
        mayBeSolvedHere(map, setting),
        () =>
          unwrap(
            api.GET("/api/maps/{mapId}/look-alikes", {
              params: { path: { mapId: map.id }, query: setting },
              signal,
            }),
          ),
        (practice) => practice.lookAlikes(setting),
      ),
  });
}

/**
 * The places that a place is easily taken for, each once, with what mixing the two up costs. The map compares what is held
 * and who is where; two that are no stages of one position and do not come up side by side nobody mixes up all the same.
 */
export function alikeTo(map: Schemas["Map"], pairs: Schemas["LookAlike"][], place: string) {
  const family = (id: string) => indexOf(map).situation(id)?.family;
  const told = new Map<string, { here: Schemas["LookAlikeHalf"]; there: Schemas["LookAlikeHalf"] }>();
  for (const { after, one, other } of pairs) {
    if (one.situation !== place && other.situation !== place) continue;
    const [here, there] = one.situation === place ? [one, other] : [other, one];
    const isNear = after != null || family(here.situation) === family(there.situation);
    const costs = hundred(here.loss) > 0 || hundred(there.loss) > 0;
    if (isNear && costs && !told.has(there.situation)) told.set(there.situation, { here, there });
  }
  return [...told.values()].slice(0, TOLD);
}

/** What this place is easily taken for, and what is to be done there instead. */
export function LookAlikesHere({ map, place }: { map: Schemas["Map"]; place: string }) {
  const [params] = useSearchParams();
  const pairs = useLookAlikes(map).data;
  const alike = pairs && alikeTo(map, pairs, place);
  if (!alike?.length) return null;
  return (
    <section className="mt-3 border-t border-rule pt-2" aria-labelledby="alike">
      <h2 id="alike" className="text-base lg:text-[15px]">
        Easily taken for
      </h2>
      <ul className="mt-1 space-y-1">
        {alike.map(({ here, there }) => (
          <li key={there.situation}>
            <Link className="link" to={paths.situation(map.id, there.situation) + settingQuery(params)}>
              {indexOf(map).situation(there.situation)?.title}
            </Link>
            : there it is {reactionTitle(map, there.answer)}.
            <span className="block text-quiet">
              The wrong one of the two costs {hundred(here.loss)} of 100 here, {hundred(there.loss)} there.
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
