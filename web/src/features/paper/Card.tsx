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
import { useWide } from "../../ui/media";
import { Fit } from "./Fit";
import { Sheet } from "./Sheet";

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
  return (
    <article aria-label={situation.title} className="h-full min-w-0">
      <Fit
        sizes={telling.sizes}
        className="flex size-full flex-col"
        onTooMuch={level + 1 < tellings.length ? () => setLevel(level + 1) : undefined}
      >
        <CardHead map={map} situation={situation} at={at} picture={half} />
        {half ? (
          <div className="mt-[0.7em]">
            <Answers map={map} situation={situation} at={at} telling={telling}>
              <ClockLine map={map} situation={situation} />
            </Answers>
          </div>
        ) : (
          <div className="mt-[0.9em] grid grid-cols-[56mm_minmax(0,1fr)] gap-[6mm]">
            <div>
              <CardPicture map={map} situation={situation} className="h-[46mm]" />
              <ClockLine map={map} situation={situation} />
              <Limbs situation={situation} />
              <Feeder feeder={situation.feeder} />
            </div>
            <Answers map={map} situation={situation} at={at} telling={telling} />
          </div>
        )}
        <Cautions map={map} at={at} />
        {foot && <div className="mt-auto pt-[0.8em]">{foot}</div>}
      </Fit>
    </article>
  );
}

/** The same on a screen: as it is printed, or on a phone as it is read in the hand. */
export function CardOnScreen(told: Parameters<typeof CardInHand>[0]) {
  const wide = useWide();
  if (!wide) return <CardInHand {...told} />;
  return (
    <div className="paper-view">
      <Sheet paper="card">
        <Card {...told} />
      </Sheet>
    </div>
  );
}

/** The same where no paper is: on a narrow screen, one under the other, everything told. */
function CardInHand({
  map,
  situation,
  at,
  foot,
}: {
  map: Schemas["Map"];
  situation: Schemas["Situation"];
  at: Schemas["SituationOdds"];
  foot?: ReactNode;
}) {
  return (
    <article aria-label={situation.title} className="px-5 pt-3 pb-8">
      <CardHead map={map} situation={situation} at={at} picture={false} />
      <CardPicture map={map} situation={situation} className="h-[190px] py-2" />
      <div className="mb-[0.9em]">
        <ClockLine map={map} situation={situation} />
      </div>
      <Answers map={map} situation={situation} at={at} telling={WHOLE[0]!} />
      <div className="mt-[1.2em]">
        <Limbs situation={situation} />
      </div>
      <Feeder feeder={situation.feeder} />
      <Cautions map={map} at={at} />
      {foot && <div className="mt-[1.2em]">{foot}</div>}
    </article>
  );
}

function CardHead({
  map,
  situation,
  at,
  picture,
}: {
  map: Schemas["Map"];
  situation: Schemas["Situation"];
  at: Schemas["SituationOdds"];
  /** With the picture in it, for half a page. */
  picture: boolean;
}) {
  const family = indexOf(map).family(situation.family)?.title ?? "";
  return (
    <header className="flex items-end gap-[1em] border-b-[3px] border-ink pb-[0.5em]">
      {picture && <CardPicture map={map} situation={situation} className="h-[24mm] w-[38mm] shrink-0" />}
      <div className="min-w-0 grow">
        <p className="text-quiet">
          {family}, {lateness(situation).toLowerCase()}
        </p>
        <h2 className={picture ? "text-[1.7em]" : "text-[2.2em]"} style={narrowness(at.worth)}>
          {situation.title}
        </h2>
        <Gate worth={at.worth} late={situation.stage === "last-chance"} height={10} className="mt-[0.4em]" />
      </div>
      <p className="text-right leading-none">
        <span
          className={`block font-bold ${picture ? "text-[2.8em]" : "text-[3.6em]"}`}
          style={{ fontStretch: "78%" }}
        >
          {hundred(at.worth)}
        </span>
        <span className="text-quiet">of 100</span>
      </p>
    </header>
  );
}

function CardPicture({
  map,
  situation,
  className,
}: {
  map: Schemas["Map"];
  situation: Schemas["Situation"];
  className: string;
}) {
  return (
    <div className={className}>
      <PlacePicture map={map} place={situation.id} width={190} className="size-full" />
    </div>
  );
}

/** What becomes of doing nothing. */
function ClockLine({ map, situation }: { map: Schemas["Map"]; situation: Schemas["Situation"] }) {
  if (!situation.clock) return null;
  return (
    <p className="border-t border-rule pt-[0.4em]">
      After {seconds(situation.clock.seconds)} of nothing:{" "}
      {lowerFirst(placeTitle(map, situation.clock.becomes))}.
    </p>
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
