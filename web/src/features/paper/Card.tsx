import { useState, type ReactNode } from "react";
import type { Schemas } from "../../api/client";
import { hundred, lateness, seconds } from "../../labels";
import { Gate, narrowness } from "../../ui/Gate";
import { Caution } from "../../ui/Notice";
import { closedInWords, insteadInWords, lowerFirst, placeTitle, reactionTitle, techniqueOf } from "../map";
import { PlacePicture } from "../picture";
import { indexOf } from "../../model/mapIndex";
import { feederLines } from "../../ui/body/feeder";
import { Limbs } from "../../ui/body/Limbs";
import { Fit } from "./Fit";

/** How much of a place is told, and in which sizes, in points; the next is taken where it does not fit. */
interface Telling {
  sizes: readonly number[];
  /** Answers whose checkpoints are told. */
  steps: number;
  /** Answers that are told at all. */
  answers: number;
}

/** A page of its own: everything is told. Only the checkpoints of later answers give way. */
const WHOLE: readonly Telling[] = [
  { sizes: [13.5, 13, 12.5, 12, 11.5, 11, 10.5, 10, 9.5], steps: Infinity, answers: Infinity },
  { sizes: [10.5, 10, 9.5, 9], steps: 1, answers: Infinity },
  { sizes: [9, 8.5, 8, 7.5, 7, 6.5], steps: 0, answers: Infinity },
];

/** Half a page: all answers while they can be read, else the best of them. */
const HALF: readonly Telling[] = [
  { sizes: [13, 12.5, 12, 11.5, 11, 10.5, 10, 9.5, 9, 8.5], steps: Infinity, answers: Infinity },
  { sizes: [9.5, 9, 8.5, 8], steps: 1, answers: Infinity },
  { sizes: [8.5, 8, 7.5, 7], steps: 0, answers: Infinity },
  { sizes: [8, 7.5, 7], steps: 0, answers: 3 },
  { sizes: [7.5, 7, 6.5, 6], steps: 0, answers: 1 },
];

/**
 * One situation on a page, or on half of one: what is held, what you do, what they do about it, and what can hurt. On half a
 * page the jobs of the limbs and the partner's brief are left to the card.
 */
export function Card({
  map,
  situation,
  at,
  half = false,
  foot,
}: {
  map: Schemas["Map"];
  situation: Schemas["Situation"];
  at: Schemas["SituationOdds"];
  half?: boolean;
  /** What stands at the foot of the page. */
  foot?: ReactNode;
}) {
  const tellings = half ? HALF : WHOLE;
  const [level, setLevel] = useState(0);
  const telling = tellings[level]!;
  const family = indexOf(map).family(situation.family)?.title ?? "";
  const picture = <PlacePicture map={map} place={situation.id} width={190} className="size-full" />;
  const clock = situation.clock && (
    <p className="border-t border-rule pt-[0.4em]">
      After {seconds(situation.clock.seconds)} of nothing:{" "}
      {lowerFirst(placeTitle(map, situation.clock.becomes))}.
    </p>
  );
  const answers = (
    <Answers map={map} situation={situation} at={at} telling={telling}>
      {half && clock}
    </Answers>
  );
  return (
    <article aria-label={situation.title} className="h-full min-w-0">
      <Fit
        sizes={telling.sizes}
        className="flex size-full flex-col"
        onTooMuch={level + 1 < tellings.length ? () => setLevel(level + 1) : undefined}
      >
        <header className="flex items-end gap-[1em] border-b-[3px] border-ink pb-[0.5em]">
          {half && <div className="h-[24mm] w-[38mm] shrink-0">{picture}</div>}
          <div className="min-w-0 grow">
            <p className="text-quiet">
              {family}, {lateness(situation).toLowerCase()}
            </p>
            <h2 className={half ? "text-[1.7em]" : "text-[2.2em]"} style={narrowness(at.worth)}>
              {situation.title}
            </h2>
            <Gate
              worth={at.worth}
              late={situation.stage === "last-chance"}
              height={10}
              className="mt-[0.4em]"
            />
          </div>
          <p className="text-right leading-none">
            <span
              className={`block font-bold ${half ? "text-[2.8em]" : "text-[3.6em]"}`}
              style={{ fontStretch: "78%" }}
            >
              {hundred(at.worth)}
            </span>
            <span className="text-quiet">of 100</span>
          </p>
        </header>
        {half ? (
          <div className="mt-[0.7em]">{answers}</div>
        ) : (
          <div className="mt-[0.9em] grid grid-cols-[56mm_minmax(0,1fr)] gap-[6mm]">
            <div>
              <div className="h-[46mm]">{picture}</div>
              {clock}
              <Limbs situation={situation} />
              <Feeder feeder={situation.feeder} />
            </div>
            {answers}
          </div>
        )}
        <Cautions map={map} at={at} />
        {foot && <div className="mt-auto pt-[0.8em]">{foot}</div>}
      </Fit>
    </article>
  );
}

/** What you do, the best first, with what they do about it; what to leave alone; and what is closed where nothing is open. */
function Answers({
  map,
  situation,
  at,
  telling,
  children,
}: {
  map: Schemas["Map"];
  situation: Schemas["Situation"];
  at: Schemas["SituationOdds"];
  telling: Telling;
  /** What else is said here. */
  children?: ReactNode;
}) {
  const usable = at.reactions.filter((r) => r.usable);
  const told = usable.slice(0, telling.answers);
  const closed = at.reactions.filter((r) => !r.usable && !indexOf(map).reaction(r.reaction)?.doNot);
  return (
    <div className="min-w-0 space-y-[0.7em]">
      {at.stop && <p className="font-semibold">Staying is best here.</p>}
      {usable.length === 0 && !at.stop && closed.length === 0 && <p>Nothing is taught from here yet.</p>}
      {usable.length === 0 && closed.map((odds) => <Closed key={odds.reaction} map={map} odds={odds} />)}
      {told.map((odds, index) => (
        <Answer key={odds.reaction} map={map} odds={odds} number={index + 1} steps={index < telling.steps} />
      ))}
      {usable.length > told.length && (
        <p className="font-semibold">
          {usable.length - told.length} more {usable.length - told.length === 1 ? "stands" : "stand"} on the
          card of this place.
        </p>
      )}
      {situation.oneAnswer && usable.length === 1 && <p className="text-quiet">{situation.oneAnswer}.</p>}
      {indexOf(map)
        .mistakesFrom(situation.id)
        .map((mistake) => (
          <DoNot key={mistake.id} map={map} mistake={mistake} />
        ))}
      {children}
    </div>
  );
}

function Answer({
  map,
  odds,
  number,
  steps,
}: {
  map: Schemas["Map"];
  odds: Schemas["ReactionOdds"];
  number: number;
  steps: boolean;
}) {
  const reaction = indexOf(map).reaction(odds.reaction);
  const technique = techniqueOf(map, reaction);
  if (!reaction || !technique) return null;
  return (
    <section>
      <h3 className="flex items-baseline gap-[0.5em] text-[1.15em]">
        <span className="min-w-[1.6em] border border-edge text-center font-semibold">{number}</span>
        <span className="min-w-0 grow">{technique.title}</span>
        <span>{hundred(odds.worth)}</span>
      </h3>
      <div className="pl-[2.6em]">
        {reaction.when && (
          <p>
            <span className="font-semibold">When</span> {lowerFirst(reaction.when)}
          </p>
        )}
        {steps && technique.checkpoints.length > 0 && (
          <ol className="list-decimal pl-[1.5em]">
            {technique.checkpoints.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ol>
        )}
        <table className="mt-[0.2em] w-full border-collapse text-left">
          <tbody>
            {odds.responses.map((response) => (
              <tr key={response.response} className="border-t border-rule align-top">
                <td className="py-[0.12em] pr-[0.8em]">
                  {(indexOf(map).response(reaction.id, response.response)?.cue ?? "").replace(/\.$/, "")}
                </td>
                <td className="w-[42%] py-[0.12em]">
                  {response.answered ? placeTitle(map, response.lands) : "no answer yet"}
                </td>
                <td className="w-[2.4em] py-[0.12em] text-right font-semibold">
                  {response.answered ? hundred(response.worth) : ""}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

function Closed({ map, odds }: { map: Schemas["Map"]; odds: Schemas["ReactionOdds"] }) {
  const reaction = indexOf(map).reaction(odds.reaction);
  if (!reaction) return null;
  return (
    <p>
      <span className="font-semibold">{reactionTitle(map, reaction.id)}</span>: closed{" "}
      {closedInWords(map, reaction, odds.closedBy)}
      {insteadInWords(map, odds.closedBy, undefined)}.
    </p>
  );
}

/** What people do there and should not, and where it leads. */
export function DoNot({ map, mistake }: { map: Schemas["Map"]; mistake: Schemas["Reaction"] }) {
  const leads = new Set(mistake.responses.flatMap((r) => (r.leads ? [r.leads] : [])));
  return (
    <p className="border-l-[0.35em] border-rust pl-[0.8em]">
      <span className="font-semibold text-rust">Do not</span>{" "}
      {lowerFirst(techniqueOf(map, mistake)?.title ?? mistake.technique)}: {lowerFirst(mistake.doNot)}.
      {leads.size > 0 && (
        <span className="text-quiet">
          {" "}
          It leads to {[...leads].map((place) => lowerFirst(placeTitle(map, place))).join(" or ")}.
        </span>
      )}
    </p>
  );
}

/** How a partner holds the place, in a few lines. */
function Feeder({ feeder }: { feeder: Schemas["Feeder"] }) {
  const lines = feederLines(feeder);
  if (lines.length === 0) return null;
  return (
    <section className="mt-[0.8em] border-t border-rule pt-[0.6em]">
      <h3>For the partner who holds you</h3>
      {lines.map(([name, words]) => (
        <p key={name}>
          <span className="font-semibold">{name}:</span> {words}
        </p>
      ))}
    </section>
  );
}

/** What can hurt in anything that is taught there, whether it is told on the paper or not. */
function Cautions({ map, at }: { map: Schemas["Map"]; at: Schemas["SituationOdds"] }) {
  const cautions = new Set(
    at.reactions
      .filter((r) => r.usable)
      .flatMap((r) => techniqueOf(map, indexOf(map).reaction(r.reaction))?.cautions ?? []),
  );
  return (
    <div className="mt-[0.9em] space-y-[0.3em]">
      {[...cautions].map((caution) => (
        <Caution key={caution}>{caution}</Caution>
      ))}
      <Caution>Tap early, let go at once. A pin alone is reason enough to tap.</Caution>
    </div>
  );
}
