import { Link, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { hundred } from "../../labels";
import { paths, techniqueOf } from "../map";
import { settingQuery, useLateCurve, useRestAdvice, useSetting } from "../odds";
import { LateCurve } from "./LateCurve";
import { Teaching } from "./Teaching";
import { WhatIf } from "./WhatIf";
import { indexOf } from "../../model/mapIndex";

/** What belongs to the whole situation: the question box, the late curve, stop or go on, how the best answer is done. */
export function SituationAside({
  map,
  situation,
  at,
}: {
  map: Schemas["Map"];
  situation: Schemas["Situation"];
  at: Schemas["SituationOdds"];
}) {
  const [params] = useSearchParams();
  const [setting] = useSetting();
  const late = useLateCurve(map);
  const reactions = at.reactions
    .map((odds) => indexOf(map).reaction(odds.reaction))
    .filter((r) => r !== undefined)
    .filter((r) => !r.doNot);
  const best = reactions[0] && techniqueOf(map, reactions[0]);
  const query = settingQuery(params);
  return (
    <aside className="space-y-6 px-5 pt-4 pb-10" aria-label="Beside the answers">
      <WhatIf map={map} reactions={reactions} best={at.best ?? undefined} />
      <p>
        <Link
          to={paths.drillFrom(map.id, situation.id, query)}
          className="plate inline-flex items-center no-underline"
        >
          Drill this
        </Link>
      </p>
      {situation.rest && <StopOrGoOn map={map} situation={situation.id} />}
      {late.data && (
        <section>
          <h2 className="text-base lg:text-[15px]">If you start late</h2>
          <LateCurve
            delays={late.data.delays}
            worth={late.data.situations[situation.id] ?? []}
            now={setting.late}
          />
        </section>
      )}
      {best && (
        <section>
          <h2 className="text-base lg:text-[15px]">{best.title}</h2>
          <div className="mt-1">
            <Teaching map={map} technique={best} />
          </div>
        </section>
      )}
      <p className="flex flex-wrap gap-x-5">
        <Link className="word" to={`${paths.flow(map.id)}${query ? `${query}&` : "?"}from=${situation.id}`}>
          Where 100 starts go
        </Link>
        <Link className="word" to={paths.card(map.id, situation.id) + query}>
          Card to print
        </Link>
      </p>
    </aside>
  );
}

/** At a place to rest in: take it, or go on from it. */
function StopOrGoOn({ map, situation }: { map: Schemas["Map"]; situation: string }) {
  const advice = useRestAdvice(map).data?.find((a) => a.situation === situation);
  if (!advice) return null;
  return (
    <section>
      <h2 className="text-base lg:text-[15px]">Stop or go on</h2>
      <p className="mt-1">
        {advice.stop ? "Stop here" : "Go on"}: resting is worth {hundred(advice.rest)} of 100, going on{" "}
        {hundred(advice.goOn)}.
      </p>
    </section>
  );
}
