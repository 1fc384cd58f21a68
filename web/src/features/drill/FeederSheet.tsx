import type { ReactNode } from "react";
import { Heading } from "../../ui/Heading";
import { lowerFirst, theyDo } from "../map";
import { linkKey, type Drill, type Plan, type PlannedLink } from "./design";
import { Rounds, Solo } from "./Rounds";
import { SpotTheMistake } from "./SpotTheMistake";
import { callsOf, turnsOf, type Turn } from "./turns";
import { givenAs, nextInWords } from "./words";

/** More than this is said smaller: cautions in two columns, calls from one place in lesser letters. */
const MANY = 4;

/** What the feeder takes to the mat: words to shout, how to hold, what to stop, what comes next, and the list. */
export function FeederSheet({
  drill,
  plan,
  starts,
  part = false,
}: {
  drill: Drill;
  plan: Plan;
  /** Pictures of where the calls start. */
  starts?: ReactNode;
  /** True for one of several on a page. */
  part?: boolean;
}) {
  const calls = plan.links.filter((link) => link.part !== "finish");
  const finishes = plan.links.filter((link) => link.part === "finish");
  return (
    <article className="sheet">
      <header className="flex flex-wrap items-baseline gap-x-4 border-b-[5px] border-ink pb-1">
        <span
          className="flex h-5 items-center border-x-[4px] border-ink px-1.5 text-[18px] leading-none font-bold uppercase"
          style={{ fontStretch: "66%" }}
        >
          Narrow Gate
        </span>
        <span>Feeder’s sheet</span>
        <span className="ml-auto text-quiet">
          {Math.round(plan.minutes)} min · {drill.sides.join(" first, then ")}
          {drill.sides.length === 1 ? " only" : ""}
        </span>
      </header>
      <section className="mt-2 border-l-[9px] border-signal pl-3 [box-shadow:-2px_0_0_var(--ink)]">
        <p className="text-[17px] font-bold">Careful first. Tap or “stop”: let go at once.</p>
        <ul className={plan.cautions.length > MANY ? "grid gap-x-6 sm:grid-cols-2 print:grid-cols-2" : ""}>
          {plan.cautions.map((caution) => (
            <li key={caution}>{caution}</li>
          ))}
          <li>The lighter partner decides how much weight, and stops it.</li>
        </ul>
      </section>
      <div className="mt-3 flex flex-wrap items-end justify-between gap-x-6 gap-y-1 border-b-2 border-ink pb-1 print:mt-1 print:flex-nowrap">
        <div>
          {part ? (
            <h2 className="text-[30px]" style={{ fontStretch: "88%" }}>
              {drill.title}
            </h2>
          ) : (
            <Heading size="sheet">{drill.title}</Heading>
          )}
          <p className="text-quiet">{plan.kind.feeder}</p>
        </div>
        {starts}
      </div>
      {drill.note && <p className="mt-1">{drill.note}</p>}
      {byStart(calls).map((group) =>
        group.length === 1 ? (
          <Call key={group[0]!.start} link={group[0]!} drill={drill} plan={plan} />
        ) : (
          <Place key={group[0]!.start} links={group} drill={drill} plan={plan} />
        ),
      )}
      {finishes.length > 0 && <Stances finishes={finishes} />}
      <Landings plan={plan} />
      <Rounds plan={plan} />
      <Solo plan={plan} />
      <Lists plan={plan} />
      <SpotTheMistake plan={plan} />
      <p className="mt-2">
        <strong>Three of you,</strong> below, feeding, resting:{" "}
        {plan.threes.map((t) => `${t.bottom} ${t.feeder} ${t.rests}`).join(" · ")}; then again.
      </p>
      <p>
        <strong>Counts:</strong> {plan.kind.counts} <strong>Stop:</strong> {plan.kind.stop}
      </p>
    </article>
  );
}

/** The links by the place they start in, in the drill's order, those on the same answer together. */
function byStart(links: PlannedLink[]): PlannedLink[][] {
  const groups = new Map<string, PlannedLink[]>();
  for (const link of links) groups.set(link.start, [...(groups.get(link.start) ?? []), link]);
  return [...groups.values()].map((group) =>
    group.toSorted(
      (a, b) =>
        group.findIndex((l) => l.reaction === a.reaction) - group.findIndex((l) => l.reaction === b.reaction),
    ),
  );
}

const COLUMNS =
  "grid grid-cols-[7.5rem_minmax(0,1fr)] gap-x-4 sm:grid-cols-[8.5rem_minmax(0,1.3fr)_minmax(0,1fr)] print:grid-cols-[8.5rem_minmax(0,1.3fr)_minmax(0,1fr)]";

/** One call: the word, what to give and how to hold it, what answers it, what to stop. */
function Call({ link, drill, plan }: { link: PlannedLink; drill: Drill; plan: Plan }) {
  return (
    <section className={`${COLUMNS} break-inside-avoid border-b border-ink py-2 print:py-1`}>
      <div>
        <p className="text-quiet">{givenAs(link.part, drill.kind)}</p>
        <p className="text-[34px] leading-none font-bold" style={{ fontStretch: "72%" }}>
          {link.word}
        </p>
      </div>
      <div>
        <p className="font-bold">{link.trigger || link.startTitle}.</p>
        <Feeding link={link} plan={plan} />
      </div>
      <div className="max-sm:col-start-2">
        <p>
          They answer <strong>{lowerFirst(link.answer)}</strong>; then {lowerFirst(link.cue)}.
        </p>
        <Care link={link} plan={plan} />
      </div>
    </section>
  );
}

/** Several calls from one place: what to give and what to stop is said once, and each answer once. */
function Place({ links, drill, plan }: { links: PlannedLink[]; drill: Drill; plan: Plan }) {
  const first = links[0]!;
  const answers = [...new Set(links.map((link) => link.reaction))].map((reaction) =>
    links.filter((link) => link.reaction === reaction),
  );
  return (
    <section className="border-b border-ink py-2 print:py-1">
      <div className={`${COLUMNS} break-inside-avoid break-after-avoid`}>
        <div>
          <p className="font-bold">{first.startTitle}</p>
          <p className="text-quiet">{givenAs(first.part, drill.kind)}</p>
        </div>
        <div>
          <Feeding link={first} plan={plan} />
        </div>
        <div className="max-sm:col-start-2">
          <Care link={first} plan={plan} />
        </div>
      </div>
      {answers.map((group) => (
        <div
          key={group[0]!.reaction}
          className="mt-1 grid break-inside-avoid gap-x-4 border-t border-rule pt-1 sm:grid-cols-[minmax(0,1fr)_minmax(0,1.3fr)] print:grid-cols-[minmax(0,1fr)_minmax(0,1.3fr)]"
        >
          <p>
            {group[0]!.trigger && `${group[0]!.trigger}. `}They answer{" "}
            <strong>{lowerFirst(group[0]!.answer)}</strong>.
          </p>
          <ul>
            {group.map((link) => (
              <li key={linkKey(link)} className="grid grid-cols-[8rem_minmax(0,1fr)] items-baseline gap-x-3">
                <span
                  className={`leading-none font-bold ${links.length > MANY ? "text-[20px]" : "text-[28px]"}`}
                  style={{ fontStretch: "72%" }}
                >
                  {link.word}
                </span>
                <span>{theyDo(link.cue)}</span>
              </li>
            ))}
          </ul>
        </div>
      ))}
    </section>
  );
}

function feederAt(link: PlannedLink, plan: Plan) {
  return plan.feeding.find((f) => f.place === link.start)?.feeder;
}

function Feeding({ link, plan }: { link: PlannedLink; plan: Plan }) {
  const feeder = feederAt(link, plan);
  return (
    <>
      {feeder?.gives && <p>{feeder.gives}</p>}
      {feeder?.weight && <p className="text-quiet">{feeder.weight}</p>}
    </>
  );
}

function Care({ link, plan }: { link: PlannedLink; plan: Plan }) {
  const care = feederAt(link, plan)?.care;
  return (
    care && (
      <p>
        <span className="text-quiet">Take care:</span> {care}
      </p>
    )
  );
}

/** What is shown and not said: the stance asks for the answer. */
function Stances({ finishes }: { finishes: PlannedLink[] }) {
  return (
    <section className="grid break-inside-avoid grid-cols-[7.5rem_minmax(0,1fr)] gap-x-4 border-b border-ink py-2 sm:grid-cols-[8.5rem_minmax(0,1fr)] print:grid-cols-[8.5rem_minmax(0,1fr)] print:py-1">
      <div>
        <p className="text-quiet">show, say nothing</p>
        <p className="text-[26px] leading-none font-bold" style={{ fontStretch: "72%" }}>
          Your stance
        </p>
      </div>
      <ul>
        {finishes.map((link) => (
          <li key={linkKey(link)}>
            <strong>{link.word}:</strong> {lowerFirst(link.trigger || link.startTitle)}. They answer{" "}
            {lowerFirst(link.answer)}.
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Wherever they land, what the feeder does next. */
function Landings({ plan }: { plan: Plan }) {
  const seen = new Map(plan.links.map((link) => [link.landing, link]));
  if (seen.size === 0) return null;
  return (
    <table className="mt-2 w-full border-collapse break-inside-avoid text-left">
      <thead>
        <tr className="text-quiet">
          <th className="py-0.5 pr-4 font-normal">They land</th>
          <th className="py-0.5 font-normal">you, next</th>
        </tr>
      </thead>
      <tbody>
        {[...seen.values()].map((link) => (
          <tr key={link.landing} className="border-t border-rule align-top">
            <td className="py-0.5 pr-4 font-semibold">{link.landingTitle}</td>
            <td className="py-0.5">{nextInWords(link.next)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Turns of so few calls stand two in a row. */
const FEW = 2;

/** The list itself: a row a turn, a box to tick a call. */
function Lists({ plan }: { plan: Plan }) {
  const turns = turnsOf(plan);
  if (turns.length === 0) return null;
  const short = turns.every((turn) => callsOf(turn, plan).length <= FEW);
  return (
    <div className="mt-3 grid gap-x-8 sm:grid-cols-2 print:mt-2 print:grid-cols-2">
      {(["first", "second"] as const).map((bottom) => (
        <section key={bottom} className="border-t-2 border-ink pt-1">
          <h2 className="flex items-center gap-2 text-base">
            <span className="grid h-6 w-6 place-items-center border-2 border-ink">
              {bottom === "first" ? 1 : 2}
            </span>
            is below
          </h2>
          <ol className={short ? "columns-2 gap-x-4" : ""}>
            {turns
              .filter((turn) => turn.bottom === bottom)
              .map((turn, index) => (
                <Row key={index} turn={turn} number={index + 1} plan={plan} />
              ))}
          </ol>
        </section>
      ))}
    </div>
  );
}

function Row({ turn, number, plan }: { turn: Turn; number: number; plan: Plan }) {
  return (
    <li className="flex break-inside-avoid gap-x-2 border-t border-rule py-0.5 print:py-0">
      <span className="w-9 shrink-0 font-semibold">
        {number}
        {turn.side === "left" ? "L" : "R"}
      </span>
      <span className="flex flex-wrap gap-x-3">
        {callsOf(turn, plan).map((call, index) => (
          <span key={index} className={`whitespace-nowrap ${call.finish ? "font-bold" : ""}`}>
            {call.fake ? (
              <span className="text-quiet">({call.word})</span>
            ) : (
              <>
                <span
                  aria-hidden="true"
                  className="mr-1 inline-block h-3 w-3 border border-ink align-[-1px]"
                />
                {call.word}
              </>
            )}
          </span>
        ))}
      </span>
    </li>
  );
}
