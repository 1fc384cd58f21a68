import { Link, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { seconds } from "../../labels";
import { indexOf } from "../../model/mapIndex";
import { paths, placeTitle } from "../map";
import { settingQuery, useSetting } from "../odds";

/**
 * The time there is, as a bar: what a late start takes of it, what the best answer needs, and what is left when they usually
 * move on. Where the answer needs more than there is, the bar is as long as the answer.
 */
export function Clock({
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
  const clock = situation.clock;
  if (!clock) {
    return <p className="mt-3 border-t border-rule pt-2 text-quiet">Nobody gains by waiting here.</p>;
  }
  const best = at.reactions.find((r) => r.reaction === at.best);
  const needs = indexOf(map).reaction(at.best)?.seconds ?? 0;
  const { late } = setting;
  const whole = Math.max(clock.seconds, best?.takes ?? 0, late + needs);
  const percent = (value: number) => `${(value / whole) * 100}%`;
  const spare = clock.seconds - (best?.takes ?? late + needs);
  return (
    <section className="mt-3 border-t border-rule pt-2" aria-label="The clock">
      <p className="flex justify-between gap-2">
        <span>
          If you do nothing:{" "}
          <Link className="link" to={paths.situation(map.id, clock.becomes) + settingQuery(params)}>
            {placeTitle(map, clock.becomes)}
          </Link>
        </span>
        <span className="font-semibold whitespace-nowrap">{seconds(clock.seconds)}</span>
      </p>
      <span aria-hidden="true" className="relative mt-1 block h-3 bg-lane">
        <span className="absolute inset-y-0 left-0 bg-[var(--body-they)]" style={{ width: percent(late) }} />
        {best && (
          <span
            className="absolute inset-y-0 bg-quiet"
            style={{ left: percent(late), width: percent(Math.max(0, best.takes - late)) }}
          />
        )}
        <span
          className="absolute -inset-y-1 w-[3px] bg-ink"
          style={{ left: `calc(${percent(clock.seconds)} - 3px)` }}
        />
      </span>
      <p className="mt-1 flex min-h-[2lh] flex-wrap content-start justify-between gap-x-4 text-quiet">
        <span>{late > 0 ? `${seconds(late)} late` : "in time"}</span>
        {best && <span>under way after {seconds(best.takes)}</span>}
        {best && (
          <span>{spare >= 0 ? `${seconds(spare)} to spare` : `${seconds(-spare)} too slow on average`}</span>
        )}
      </p>
    </section>
  );
}
