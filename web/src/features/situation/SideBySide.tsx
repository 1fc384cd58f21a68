import type { ReactNode } from "react";
import type { Schemas } from "../../api/client";
import { closedInWords, placeTitle, techniqueOf } from "../map";
import { PlacePicture } from "../picture";
import { hundred } from "../../labels";
import { difference, Gate } from "../../ui/Gate";
import { matchupOf, NOBODY, useOtherOdds, useSetting, type Setting } from "../odds";
import { indexOf } from "../../model/mapIndex";
import { useAddress } from "../../ui/address";

/** The matchup or stance laid beside the one that is set, as it stands in the address. */
function useOther(map: Schemas["Map"]): [string, Partial<Setting> | undefined, string, (to: string) => void] {
  const [params, write] = useAddress();
  const [setting] = useSetting();
  const written = params.get("beside") ?? "";
  const choose = (to: string) => write({ beside: to || undefined });
  const matchup = map.matchups.find((m) => written === `matchup ${m.id}`);
  if (matchup) return [written, { matchup: matchup.id, ...NOBODY }, matchup.title, choose];
  for (const principle of map.principles) {
    const stance = principle.stances.find((s) => written === `stance ${principle.id}/${s.id}`);
    if (stance) {
      const others = (setting.stance ?? []).filter((s) => !s.startsWith(`${principle.id}/`));
      return [written, { stance: [...others, `${principle.id}/${stance.id}`] }, stance.title, choose];
    }
  }
  return ["", undefined, "", choose];
}

/** The standing comparison: the place under another matchup or stance; before one is chosen, against somebody heavier. */
export function BesideLine({
  map,
  situation,
  at,
}: {
  map: Schemas["Map"];
  situation: Schemas["Situation"];
  at: Schemas["SituationOdds"];
}) {
  const [written, chosen, , choose] = useOther(map);
  const [setting] = useSetting();
  const now = matchupOf(map, setting);
  const heavier = map.matchups.find((m) => m.id !== now?.id && m.weightGap > (now?.weightGap ?? 0));
  const other = chosen ?? (heavier && { matchup: heavier.id, ...NOBODY });
  const there = useOtherOdds(map, other).data?.situations[situation.id];
  return (
    <span className="ml-auto flex min-w-0 items-baseline gap-x-1.5 lg:shrink-0">
      <label className="flex min-w-0 items-baseline">
        <span className="sr-only">Side by side with</span>
        <select
          className="word [field-sizing:content] min-w-0 bg-ground"
          value={written}
          onChange={(event) => choose(event.target.value)}
        >
          <option value="">{heavier ? `against ${heavier.title}` : "side by side with …"}</option>
          <optgroup label="Another matchup">
            {map.matchups.map((m) => (
              <option key={m.id} value={`matchup ${m.id}`}>
                {m.title}
              </option>
            ))}
          </optgroup>
          {map.principles.map((p) => (
            <optgroup key={p.id} label={p.title}>
              {p.stances.map((s) => (
                <option key={s.id} value={`stance ${p.id}/${s.id}`}>
                  {s.title}
                </option>
              ))}
            </optgroup>
          ))}
        </select>
      </label>
      <span className="min-w-[4.5rem] shrink-0 text-right font-semibold whitespace-nowrap">
        {there && (
          <>
            {hundred(there.worth)}{" "}
            <span className="font-normal">({difference(at.worth, there.worth) || "±0"})</span>
          </>
        )}
      </span>
      {chosen === undefined && heavier && (
        <button type="button" className="word shrink-0" onClick={() => choose(`matchup ${heavier.id}`)}>
          side by side
        </button>
      )}
    </span>
  );
}

/** The same situation under another matchup or stance, reaction by reaction; nothing while none is chosen. */
export function SideBySide({
  map,
  situation,
  at,
}: {
  map: Schemas["Map"];
  situation: Schemas["Situation"];
  at: Schemas["SituationOdds"];
}) {
  const [, other, title, choose] = useOther(map);
  const odds = useOtherOdds(map, other);
  const there = other && odds.data?.situations[situation.id];
  const [setting] = useSetting();
  const now = matchupOf(map, setting)?.title ?? "As set";
  if (!there) return null;
  return (
    <section className="border-b border-rule py-1.5" aria-label="Side by side">
      <button type="button" className="word" onClick={() => choose("")}>
        put the comparison away
      </button>
      <table className="mt-2 mb-1 w-full table-fixed border-collapse text-left" data-testid="side-by-side">
        <thead>
          <tr className="align-bottom">
            <th className="w-[36%] pb-1 font-normal text-quiet">Best first, as set</th>
            <th className="pb-1 pl-4">{now}</th>
            <th className="pb-1 pl-4">{title}</th>
          </tr>
        </thead>
        <tbody>
          <Row
            title="The whole situation"
            one={<Worth worth={at.worth} />}
            two={<Worth worth={there.worth} />}
          />
          <Row
            title="The best leads to"
            one={<Landing map={map} at={at} />}
            two={<Landing map={map} at={there} />}
          />
          {at.reactions
            .filter((odds) => !indexOf(map).reaction(odds.reaction)?.doNot)
            .map((odds) => {
              const reaction = indexOf(map).reaction(odds.reaction);
              const beside = there.reactions.find((r) => r.reaction === odds.reaction);
              return (
                reaction && (
                  <Row
                    key={reaction.id}
                    title={techniqueOf(map, reaction)?.title ?? reaction.id}
                    one={<Cell map={map} reaction={reaction} odds={odds} best={at.best === reaction.id} />}
                    two={
                      beside && (
                        <Cell map={map} reaction={reaction} odds={beside} best={there.best === reaction.id} />
                      )
                    }
                  />
                )
              );
            })}
        </tbody>
      </table>
    </section>
  );
}

function Row({ title, one, two }: { title: string; one: ReactNode; two: ReactNode }) {
  return (
    <tr className="border-t border-rule align-top">
      <th className="py-1.5 font-normal">{title}</th>
      <td className="py-1.5 pl-4">{one}</td>
      <td className="py-1.5 pl-4">{two}</td>
    </tr>
  );
}

/** Where the best answer most often leads, in a picture. */
function Landing({ map, at }: { map: Schemas["Map"]; at: Schemas["SituationOdds"] }) {
  const best = at.reactions.find((odds) => odds.reaction === at.best);
  const likeliest = best?.responses.reduce<Schemas["ResponseOdds"] | undefined>(
    (most, one) => (most === undefined || one.chance > most.chance ? one : most),
    undefined,
  );
  if (!likeliest) return <span className="text-quiet">nothing to do but wait</span>;
  return (
    <>
      <PlacePicture
        map={map}
        place={likeliest.lands}
        width={140}
        silent
        className="h-[76px] w-[140px] max-w-full"
      />
      {placeTitle(map, likeliest.lands)}
    </>
  );
}

function Worth({ worth }: { worth: number }) {
  return (
    <span className="flex items-center gap-2">
      <Gate worth={worth} className="min-w-6 grow" />
      <span className="w-7 text-right font-semibold">{hundred(worth)}</span>
    </span>
  );
}

function Cell({
  map,
  reaction,
  odds,
  best,
}: {
  map: Schemas["Map"];
  reaction: Schemas["Reaction"];
  odds: Schemas["ReactionOdds"];
  best: boolean;
}) {
  if (!odds.usable) {
    return <span className="text-rust">closed: {closedInWords(map, reaction, odds.closedBy)}</span>;
  }
  return (
    <>
      <Worth worth={odds.worth} />
      {best && <span className="text-quiet">best here</span>}
    </>
  );
}
