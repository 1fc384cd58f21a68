import { Link, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { hundred, lateness, seconds } from "../../labels";
import { Gate, narrowness } from "../../ui/Gate";
import { paths, placeTitle } from "../map";
import { settingQuery } from "../odds";
import { WeightHere } from "../weight";
import { TwoViews } from "../picture";
import { HoldsHere } from "./HoldsHere";
import { entriesTo } from "./places";
import { Heading } from "../../ui/Heading";
import { FeederBrief, Limbs } from "../../ui/body/Limbs";
import { indexOf } from "../../model/mapIndex";

/** Where one is: what is held, the clock, how one got here, and what they need for it. */
export function Position({
  map,
  situation,
  worth,
}: {
  map: Schemas["Map"];
  situation: Schemas["Situation"];
  worth: number;
}) {
  const [params] = useSearchParams();
  const family = indexOf(map).family(situation.family);
  const entries = entriesTo(map, situation.id);
  return (
    <aside className="px-5 pt-3 pb-4" aria-label="The situation">
      <Heading size="place" style={narrowness(worth)}>
        {situation.title}
      </Heading>
      <p className="mt-1 mb-3 text-quiet">
        {family?.title}, {lateness(situation).toLowerCase()}
      </p>
      {/* On a phone the answers stand below the fold; the number must not. */}
      <div aria-hidden="true" className="mb-4 flex items-center gap-3 lg:hidden">
        <span className="text-[34px] leading-none font-bold" style={{ fontStretch: "78%" }}>
          {hundred(worth)}
        </span>
        <Gate worth={worth} late={situation.stage === "last-chance"} height={9} className="grow" />
      </div>
      <TwoViews map={map} place={situation.id} />
      <Limbs situation={situation} />
      <p className="mt-2">
        <Link className="word" to={paths.edit(map.id, "situations", situation.id, settingQuery(params))}>
          Edit this situation
        </Link>
      </p>
      {situation.clock ? (
        <p className="mt-4 border-t border-rule pt-3">
          <span className="flex justify-between gap-2">
            <span>If you do nothing</span>
            <span className="font-semibold">{seconds(situation.clock.seconds)}</span>
          </span>
          <span className="text-quiet">
            then:{" "}
            <Link
              className="link"
              to={paths.situation(map.id, situation.clock.becomes) + settingQuery(params)}
            >
              {placeTitle(map, situation.clock.becomes)}
            </Link>
          </span>
        </p>
      ) : (
        <p className="mt-4 border-t border-rule pt-3 text-quiet">Nobody gains by waiting here.</p>
      )}
      {entries.length > 0 && (
        <details className="mt-3 border-t border-rule pt-3" open={entries.length <= 5}>
          <summary className="font-semibold">How you got here</summary>
          <ul className="mt-1 space-y-1">
            {entries.map(({ from, how }) => (
              <li key={from.id}>
                <Link className="link" to={paths.situation(map.id, from.id) + settingQuery(params)}>
                  {from.title}
                </Link>
                <span className="block text-quiet">{how}</span>
              </li>
            ))}
          </ul>
        </details>
      )}
      <WeightHere map={map} place={situation.id} />
      <FeederBrief feeder={situation.feeder} />
      <HoldsHere map={map} situation={situation} />
    </aside>
  );
}
