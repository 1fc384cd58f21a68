import { useState } from "react";
import { Link, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { hundred, lateness, SEGMENT_LABEL, SEGMENTS, seconds, STAGE_LABEL, STAGES } from "../../labels";
import { indexOf } from "../../model/mapIndex";
import { FeederBrief, Limbs } from "../../ui/body/Limbs";
import { Gate, narrowness } from "../../ui/Gate";
import { Heading } from "../../ui/Heading";
import { useWide } from "../../ui/media";
import { useHolds } from "../finish";
import { paths, standingFor } from "../map";
import { settingQuery, useLateCurve, useRestAdvice, useSetting, type OddsData } from "../odds";
import { TwoViews } from "../picture";
import { useWeights, WeightHere } from "../weight";
import { Clock } from "./Clock";
import { HoldsHere } from "./HoldsHere";
import { LookAlikesHere, useLookAlikes } from "./LookAlikesHere";
import { LateCurve } from "./LateCurve";
import { RecordHere } from "./RecordHere";
import { entriesTo } from "./places";
import { May } from "../session";

/** Where one is: the way there, how late it is, the two bodies. */
export function Place({
  map,
  situation,
  odds,
}: {
  map: Schemas["Map"];
  situation: Schemas["Situation"];
  odds: OddsData;
}) {
  const wide = useWide();
  const worth = odds.situations[situation.id]!.worth;
  const stop = odds.situations[situation.id]!.stop;
  const held = SEGMENTS.filter((segment) => segment in situation.held);
  const free = SEGMENTS.filter((segment) => !(segment in situation.held));
  const words = (segments: typeof held) => segments.map((s) => SEGMENT_LABEL[s]).join(", ");
  return (
    <aside className="px-5 mid:pt-2.5" aria-label="The situation">
      <p className="text-quiet max-mid:hidden">
        {indexOf(map).family(situation.family)?.title}, {lateness(situation).toLowerCase()}
      </p>
      <div className="flex items-center gap-3">
        {!wide && !stop && (
          // On a phone the answers' head stands below the picture; the number must not.
          <span
            aria-hidden="true"
            className="text-[50px] leading-none font-bold"
            style={{ fontStretch: "74%" }}
          >
            {hundred(worth)}
          </span>
        )}
        <div className="min-w-0 grow">
          <Heading size="place" style={narrowness(worth)}>
            {situation.title}
          </Heading>
          {!wide && (
            <Gate worth={worth} late={situation.stage === "last-chance"} height={14} className="mt-1" />
          )}
        </div>
      </div>
      {wide && <Ladder map={map} situation={situation} odds={odds} />}
      <div className="mt-1">
        <TwoViews map={map} place={situation.id} low={!wide} />
      </div>
      {!wide && (
        <p className="border-b border-rule pb-2">
          {held.length > 0 && (
            <>
              <Square held /> {words(held)} <span className="inline-block w-3" />
            </>
          )}
          <Square held={false} /> {words(free)}
          {situation.clock && <b> {seconds(situation.clock.seconds)}</b>}
        </p>
      )}
    </aside>
  );
}

/** As in the picture: green is held. */
function Square({ held }: { held: boolean }) {
  return (
    <>
      <span
        aria-hidden="true"
        className={`inline-block size-[11px] border border-ink ${held ? "bg-green" : "bg-lane"}`}
      />
      <span className="sr-only">{held ? "held:" : "free:"}</span>
    </>
  );
}

/** The stages of the family, each stood for by one place; the stage where one is stands out. */
function Ladder({
  map,
  situation,
  odds,
}: {
  map: Schemas["Map"];
  situation: Schemas["Situation"];
  odds: OddsData;
}) {
  const [params] = useSearchParams();
  if (!situation.stage) return null;
  const family = map.situations.filter((s) => s.family === situation.family && s.stage);
  const rungs = standingFor(family).map((s) => (s.stage === situation.stage ? situation : s));
  if (rungs.length < 2) return null;
  return (
    <nav aria-label="How late it is" className="mt-2 grid grid-cols-4 gap-x-2 lg:gap-x-3">
      {rungs.map((rung) => {
        const here = rung.id === situation.id;
        const worth = odds.situations[rung.id]?.worth ?? 0;
        return (
          <Link
            key={rung.id}
            to={paths.situation(map.id, rung.id) + settingQuery(params)}
            aria-current={here ? "step" : undefined}
            className="min-h-11 min-w-0 border-b-[3px] border-transparent pb-1 no-underline hover:border-edge aria-[current]:border-ink aria-[current]:font-semibold"
            style={{ gridColumn: STAGES.indexOf(rung.stage!) + 1 }}
          >
            <span className="flex justify-between gap-1">
              <span
                className={`truncate ${rung.stage === "last-chance" ? "text-rust" : here ? "" : "text-quiet"}`}
                style={{ fontStretch: "75%" }}
              >
                {STAGE_LABEL[rung.stage!]}
              </span>
              <span>{hundred(worth)}</span>
            </span>
            <Gate worth={worth} late={rung.stage === "last-chance"} />
            <span className="line-clamp-2 pt-0.5 text-[13.5px] leading-4" style={{ fontStretch: "82%" }}>
              {rung.title}
            </span>
          </Link>
        );
      })}
    </nav>
  );
}

/** The rest of what is to be said of a place: each limb's job, the clock, what a late start costs, who holds how. */
export function PlaceDetails({
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
  const query = settingQuery(params);
  const entries = entriesTo(map, situation.id);
  const rest = useRestAdvice(situation.rest ? map : undefined);
  const isThere = useIsThere([late, useLookAlikes(map), useWeights(map), useHolds(map), rest]);
  const flow = `${paths.flow(map.id)}${query ? `${query}&` : "?"}from=${situation.id}`;
  return (
    <aside className="px-5 pb-6 mid:col-start-1 mid:row-start-2" aria-label="About the situation">
      <Limbs situation={situation} />
      <Clock map={map} situation={situation} at={at} />
      {isThere && (
        <>
          <LookAlikesHere map={map} place={situation.id} />
          <RecordHere map={map} place={situation.id} />
          {situation.rest && <StopOrGoOn map={map} situation={situation.id} />}
          {late.data && (
            <details className="mt-3 border-t border-rule pt-2">
              <summary className="min-h-8 font-semibold">If you start late</summary>
              <LateCurve
                delays={late.data.delays}
                worth={late.data.situations[situation.id] ?? []}
                now={setting.late}
              />
            </details>
          )}
          {entries.length > 0 && (
            <details className="mt-2 border-t border-rule pt-2">
              <summary className="min-h-8 font-semibold">How you got here</summary>
              <ul className="mt-1 space-y-1">
                {entries.map(({ from, how }) => (
                  <li key={from.id}>
                    <Link className="link" to={paths.situation(map.id, from.id) + query}>
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
          <p className="mt-3 flex flex-wrap gap-x-5 border-t border-rule pt-2">
            <Link className="word inline-flex items-center" to={flow}>
              Where 100 starts go
            </Link>
            <Link className="word inline-flex items-center" to={paths.card(map.id, situation.id) + query}>
              Card to print
            </Link>
            <May right="edit-maps">
              <Link
                className="word inline-flex items-center"
                to={paths.edit(map.id, "situations", situation.id, query)}
              >
                Edit this situation
              </Link>
            </May>
          </p>
        </>
      )}
    </aside>
  );
}

/**
 * Whether everything has come once. What stands below one another appears together, so that nothing moves under a finger;
 * afterwards what was there stays while it is asked for anew.
 */
function useIsThere(asked: { isLoading: boolean }[]): boolean {
  const [isThere, setThere] = useState(false);
  const has = !asked.some((one) => one.isLoading);
  if (has && !isThere) setThere(true);
  return isThere || has;
}

/** At a place to rest in: take it, or go on from it. */
function StopOrGoOn({ map, situation }: { map: Schemas["Map"]; situation: string }) {
  const advice = useRestAdvice(map).data?.find((a) => a.situation === situation);
  if (!advice) return null;
  return (
    <section className="mt-3 border-t border-rule pt-2">
      <h2 className="text-base lg:text-[15px]">Stop or go on</h2>
      <p className="mt-1">
        {advice.stop ? "Stop here" : "Go on"}: resting is worth {hundred(advice.rest)} of 100, going on{" "}
        {hundred(advice.goOn)}.
      </p>
    </section>
  );
}
