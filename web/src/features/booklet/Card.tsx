import type { Schemas } from "../../api/client";
import { hundred, lateness, seconds } from "../../labels";
import { Gate, narrowness } from "../../ui/Gate";
import { Caution } from "../../ui/Notice";
import { closedInWords, insteadInWords, lowerFirst, placeTitle, reactionTitle, techniqueOf } from "../map";
import { PlacePicture } from "../picture";
import { indexOf } from "../../model/mapIndex";
import { FeederBrief, Limbs } from "../../ui/body/Limbs";

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
  const closed = at.reactions.flatMap((r) => {
    const reaction = indexOf(map).reaction(r.reaction);
    return reaction && !r.usable && !reaction.doNot ? [{ reaction, closedBy: r.closedBy }] : [];
  });
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
            {family}, {lateness(situation).toLowerCase()}
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
          <PlacePicture map={map} place={situation.id} width={190} className="w-full" />
          {situation.clock && (
            <p className="mt-2 border-t border-rule pt-2">
              After {seconds(situation.clock.seconds)} of nothing:{" "}
              {lowerFirst(placeTitle(map, situation.clock.becomes))}.
            </p>
          )}
        </div>
        <div className="min-w-0">
          {at.stop && <p className="font-semibold">Staying is best here.</p>}
          {answers.length === 0 && !at.stop && closed.length === 0 && <p>Nothing is taught from here yet.</p>}
          {answers.length === 0 &&
            closed.map(({ reaction, closedBy }) => (
              <p key={reaction.id} className="mb-1">
                <span className="font-semibold">{reactionTitle(map, reaction.id)}</span>: closed{" "}
                {closedInWords(map, reaction, closedBy)}
                {insteadInWords(map, closedBy, undefined)}.
              </p>
            ))}
          {answers.map(({ odds, reaction, technique }, index) => (
            <section key={reaction.id} className="mb-3 break-inside-avoid">
              <h3 className="flex items-baseline gap-2 text-[16px]">
                <span className="key">{index + 1}</span>
                <span className="min-w-0 grow">{technique.title}</span>
                <span>{hundred(odds.worth)}</span>
              </h3>
              {reaction.when && (
                <p className="sm:pl-8">
                  <span className="font-semibold">When</span> {lowerFirst(reaction.when)}
                </p>
              )}
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
                        <td className="py-0.5 pr-3">{cue.replace(/\.$/, "")}</td>
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
          {indexOf(map)
            .mistakesFrom(situation.id)
            .map((mistake) => (
              <p key={mistake.id} className="mb-1 border-l-4 border-rust pl-3">
                <span className="font-semibold text-rust">Do not</span>{" "}
                {lowerFirst(techniqueOf(map, mistake)?.title ?? mistake.technique)}:{" "}
                {lowerFirst(mistake.doNot)}.
                {mistake.responses.some((r) => r.leads) && (
                  <span className="text-quiet">
                    {" "}
                    It leads to{" "}
                    {[...new Set(mistake.responses.flatMap((r) => (r.leads ? [r.leads] : [])))]
                      .map((place) => lowerFirst(placeTitle(map, place)))
                      .join(" or ")}
                    .
                  </span>
                )}
              </p>
            ))}
          {situation.oneAnswer && answers.length === 1 && (
            <p className="text-quiet">{situation.oneAnswer}.</p>
          )}
          {usable.length > shown.length && (
            <p className="text-quiet">{usable.length - shown.length} more are taught from here.</p>
          )}
        </div>
      </div>
      <div className="card-notes mt-2 grid gap-x-6 sm:grid-cols-2">
        <Limbs situation={situation} />
        <FeederBrief feeder={situation.feeder} />
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
