import { Fragment, useState } from "react";
import type { Schemas } from "../../api/client";
import { lowerFirst } from "../map";
import { PlacePicture } from "../picture";
import type { Plan } from "./design";
import { duration, linkOf, secondsOf, turnsOf, wordOf, type Step, type Turn } from "./turns";

const SHOWN = 2;
/** Pieces of tape of one turn, before it is folded. */
const PIECES = 8;

/** The first turns as tape: what is called, where, what answers it, and how the pair goes on. */
export function Strip({ map, plan }: { map: Schemas["Map"]; plan: Plan }) {
  const [all, setAll] = useState(false);
  const turns = turnsOf(plan);
  const shown = all ? turns : turns.slice(0, SHOWN);
  const steps = shown.flatMap((turn) => turn.steps);
  if (turns.length === 0) return null;
  return (
    <section aria-label="The turns" className="mt-3">
      {shown.map((turn, index) => (
        <TurnRow
          key={index}
          turn={turn}
          map={map}
          plan={plan}
          all={all}
          newSide={index === 0 || shown[index - 1]!.side !== turn.side}
        />
      ))}
      {!all && <Timeline steps={steps} turns={shown.length} />}
      {turns.length > SHOWN && (
        <button type="button" className="word mt-1" aria-expanded={all} onClick={() => setAll(!all)}>
          {all ? "The first two turns only" : `All ${turns.length} turns`}
        </button>
      )}
    </section>
  );
}

/** Who is below and who on top; the squares stand for the two bodies, light for the one below. */
function Who({ bottom }: { bottom: Turn["bottom"] }) {
  const below = bottom === "first" ? 1 : 2;
  return (
    <div className="w-[74px] shrink-0 text-quiet">
      <p className="flex items-center gap-2">
        <span className="grid h-6 w-6 place-items-center border-2 border-ink bg-edge font-bold text-ground">
          {3 - below}
        </span>
        top
      </p>
      <p className="mt-1 flex items-center gap-2 text-ink">
        <span className="grid h-6 w-6 place-items-center border-2 border-ink bg-lane font-bold">{below}</span>
        below
      </p>
    </div>
  );
}

function TurnRow({
  turn,
  map,
  plan,
  all,
  newSide,
}: {
  turn: Turn;
  map: Schemas["Map"];
  plan: Plan;
  all: boolean;
  newSide: boolean;
}) {
  const practised = turn.steps.filter((step) => step.kind === "link" || step.kind === "fake");
  const shown = all ? practised : practised.slice(0, PIECES);
  const swap = turn.steps.find(
    (step) => step.kind === "swap" || (step.kind === "reset" && step === turn.steps.at(-1)),
  );
  return (
    <div className="border-rule py-2 not-first:border-t">
      {newSide && <p className="mb-1 font-semibold">{turn.side === "left" ? "Left side" : "Right side"}</p>}
      <div className="flex gap-3">
        <Who bottom={turn.bottom} />
        <ol className="flex min-w-0 flex-wrap gap-y-3">
          {shown.map((step, index) => (
            <Fragment key={index}>
              <From
                step={step}
                before={shown.slice(0, index).findLast((one) => linkOf(one, plan))}
                map={map}
                plan={plan}
              />
              <StepCell step={step} before={turn.steps[turn.steps.indexOf(step) - 1]} map={map} plan={plan} />
            </Fragment>
          ))}
          {shown.length < practised.length && (
            <li className="self-center px-2 text-quiet">and {practised.length - shown.length} more</li>
          )}
        </ol>
      </div>
      {swap && (
        <p className="mt-2 flex items-center gap-3">
          <span aria-hidden="true" className="h-5 border-x-[4px] border-ink pl-[3px]" />
          <span>
            <strong>{swap.kind === "swap" ? "Swap." : "Begin again."}</strong>{" "}
            <span className="text-quiet">
              {swap.kind === "swap"
                ? `${turn.bottom === "first" ? "1 has" : "2 has"} come on top; ${duration(swap.seconds)}, nobody gets up`
                : `Both go back to a start; ${duration(swap.seconds)}`}
            </span>
          </span>
        </p>
      )}
    </div>
  );
}

interface Cell {
  step: Step;
  before: Step | undefined;
  map: Schemas["Map"];
  plan: Plan;
}

/** The place in which a turn begins, and in which it begins anew where nothing led there. */
function From({ step, before, map, plan }: Cell) {
  const link = linkOf(step, plan);
  const earlier = before && linkOf(before, plan);
  if (!link || (earlier && (earlier.landing === link.start || earlier.start === link.start))) return null;
  return (
    <li className="w-[104px] px-2">
      <p className="text-quiet">from</p>
      <PlacePicture map={map} place={link.start} width={100} silent className="mt-1 h-16 w-full" />
      <p className="leading-tight font-semibold">{link.startTitle}</p>
    </li>
  );
}

/** A link as a piece of tape: the call over a line whose light part is the feed, and where it lands. */
function StepCell({ step, before, map, plan }: Cell) {
  if (step.kind === "fake") {
    return (
      <li className="w-[112px] border-l-[3px] border-dashed border-edge px-2">
        <p className="text-quiet">{wordOf(step, plan)}</p>
        <div className="my-1 h-[3px] bg-rule" />
        <p className="text-quiet">begun and taken back</p>
      </li>
    );
  }
  const link = linkOf(step, plan);
  if (!link) return null;
  const fed = before && before.kind !== "link" && before.kind !== "fake" ? before : undefined;
  const feed = fed ? (100 * fed.seconds) / (fed.seconds + step.seconds) : 0;
  return (
    <li className="w-[126px] border-l-[3px] border-ink px-2">
      <p className="flex flex-wrap items-baseline gap-x-2">
        {link.part === "finish" ? (
          <span className="text-quiet">you see</span>
        ) : (
          <span className="text-[17px] leading-none font-bold" style={{ fontStretch: "78%" }}>
            {link.word}
          </span>
        )}
        {fed && (
          <span className="whitespace-nowrap text-quiet">
            {fed.kind === "feed" ? "feed" : "reset"} {duration(fed.seconds)}
          </span>
        )}
      </p>
      <div className="my-1 flex h-[3px] bg-ink">
        <span style={{ width: `${feed}%` }} className={fed?.kind === "reset" ? "bg-rule" : "bg-lane"} />
      </div>
      <p className="leading-tight font-semibold">{link.startTitle}</p>
      <p className="leading-tight text-quiet">{lowerFirst(link.answer)}</p>
      <PlacePicture map={map} place={link.landing} width={100} silent className="mt-1 h-16 w-full" />
      <p className="leading-tight">{lowerFirst(link.landingTitle)}</p>
    </li>
  );
}

const PIECE: Record<Step["kind"], string> = {
  link: "bg-green",
  fake: "bg-rule",
  feed: "bg-lane",
  swap: "border-x-[3px] border-ink",
  reset: "border border-dashed border-edge",
};

/** How the time of the turns above is spent. */
function Timeline({ steps, turns }: { steps: Step[]; turns: number }) {
  const seconds = secondsOf(steps);
  const has = (kind: Step["kind"]) => steps.some((step) => step.kind === kind);
  return (
    <div className="mt-2">
      <p className="flex flex-wrap items-center gap-x-3">
        <strong>
          {turns > 1 ? "These two turns" : "This turn"}, {duration(seconds)}
        </strong>
        <Key piece={PIECE.link} title="working" />
        {has("feed") && <Key piece={PIECE.feed} title="feed" />}
        {has("swap") && <Key piece={PIECE.swap} title="swap" />}
        {has("fake") && <Key piece={PIECE.fake} title="fake" />}
        {has("reset") && <Key piece={PIECE.reset} title="reset" />}
      </p>
      <div aria-hidden="true" className="mt-1 flex h-5 border-y border-rule">
        {steps.map((step, index) => (
          <span
            key={index}
            className={`${PIECE[step.kind]} ${step.kind === "link" ? "mr-px" : ""}`}
            style={{ width: `${(100 * step.seconds) / seconds}%` }}
          />
        ))}
      </div>
    </div>
  );
}

function Key({ piece, title }: { piece: string; title: string }) {
  return (
    <span className="flex items-center gap-1.5 text-quiet">
      <span aria-hidden="true" className={`h-3 w-3 ${piece}`} />
      {title}
    </span>
  );
}
