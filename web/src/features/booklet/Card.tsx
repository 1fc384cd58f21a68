import type { Schemas } from "../../api/client";
import { hundred, seconds, STAGE_LABEL } from "../../labels";
import { BodyFigure } from "../../ui/body/BodyFigure";
import { Gate, narrowness } from "../../ui/Gate";
import { Caution } from "../../ui/Notice";
import { lowerFirst, placeTitle, techniqueOf, withoutThey } from "../map";
import { indexOf } from "../../model/mapIndex";

/** As many answers fit on a page and into a head. */
const ANSWERS = 3;

/** One situation on one page: what is held, the best answers, what they do about each, what can hurt. */
export function Card({
  map,
  situation,
  at,
}: {
  map: Schemas["Map"];
  situation: Schemas["Situation"];
  at: Schemas["SituationOdds"];
}) {
  const family = indexOf(map).family(situation.family)?.title ?? "";
  const usable = at.reactions.filter((r) => r.usable);
  const shown = usable.slice(0, ANSWERS);
  const cautions = new Set<string>();
  const answers = shown.flatMap((odds) => {
    const reaction = indexOf(map).reaction(odds.reaction);
    const technique = techniqueOf(map, reaction);
    if (!reaction || !technique) return [];
    technique.cautions.forEach((caution) => cautions.add(caution));
    return [{ odds, reaction, technique }];
  });
  return (
    <article className="card" aria-label={situation.title}>
      <header className="flex items-end gap-4 border-b-[3px] border-ink pb-2">
        <div className="min-w-0 grow">
          <p className="text-quiet">
            {family}, {STAGE_LABEL[situation.stage].toLowerCase()}
          </p>
          <h2 className="text-[26px]" style={narrowness(at.worth)}>
            {situation.title}
          </h2>
          <Gate worth={at.worth} late={situation.stage === "last-chance"} height={10} className="mt-1.5" />
        </div>
        <p className="text-right leading-none">
          <span className="block text-[44px] font-bold" style={{ fontStretch: "78%" }}>
            {hundred(at.worth)}
          </span>
          <span className="text-quiet">of 100</span>
        </p>
      </header>
      <div className="mt-3 grid grid-cols-[190px_minmax(0,1fr)] gap-5">
        <div className="card-figure">
          <BodyFigure held={situation.held} stacked />
          {situation.clock && (
            <p className="mt-2 border-t border-rule pt-2">
              After {seconds(situation.clock.seconds)} of nothing:{" "}
              {lowerFirst(placeTitle(map, situation.clock.becomes))}.
            </p>
          )}
        </div>
        <div className="min-w-0">
          {at.stop && <p className="font-semibold">Staying is best here.</p>}
          {answers.length === 0 && !at.stop && <p>Nothing is taught from here yet.</p>}
          {answers.map(({ odds, reaction, technique }, index) => (
            <section key={reaction.id} className="mb-3 break-inside-avoid">
              <h3 className="flex items-baseline gap-2 text-[16px]">
                <span className="key">{index + 1}</span>
                <span className="min-w-0 grow">{technique.title}</span>
                <span>{hundred(odds.worth)}</span>
              </h3>
              {index === 0 && (
                <ol className="mt-0.5 list-decimal pl-9">
                  {technique.checkpoints.map((line) => (
                    <li key={line}>{line}</li>
                  ))}
                </ol>
              )}
              <table className="mt-1 w-full border-collapse text-left sm:ml-8 sm:w-[calc(100%-2rem)]">
                <tbody>
                  {odds.responses.map((response) => {
                    const cue = indexOf(map).response(reaction.id, response.response)?.cue ?? "";
                    return (
                      <tr key={response.response} className="border-t border-rule align-top">
                        <td className="py-0.5 pr-3">They {lowerFirst(withoutThey(cue))}</td>
                        <td className="w-[45%] py-0.5">
                          {response.answered ? placeTitle(map, response.lands) : "no answer yet"}
                        </td>
                        <td className="w-10 py-0.5 text-right font-semibold">
                          {response.answered ? hundred(response.worth) : ""}
                        </td>
                      </tr>
                    );
                  })}
                </tbody>
              </table>
            </section>
          ))}
          {usable.length > shown.length && (
            <p className="text-quiet">{usable.length - shown.length} more are taught from here.</p>
          )}
        </div>
      </div>
      <div className="mt-3 space-y-1.5">
        {[...cautions].map((caution) => (
          <Caution key={caution}>{caution}</Caution>
        ))}
        <Caution>Tap early, let go at once. A pin alone is reason enough to tap.</Caution>
      </div>
    </article>
  );
}
