import { Heading } from "../../ui/Heading";
import { lowerFirst } from "../map";
import type { Drill, Plan, PlannedLink } from "./design";
import { Rounds, Solo } from "./Rounds";
import { SpotTheMistake } from "./SpotTheMistake";
import { callsOf, turnsOf, type Turn } from "./turns";
import { nextInWords } from "./words";

/** What the feeder takes to the mat: words to shout, how to hold, what to stop, what comes next, and the list. */
export function FeederSheet({ drill, plan }: { drill: Drill; plan: Plan }) {
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
        <ul className="grid gap-x-6 sm:grid-cols-2 print:grid-cols-2">
          {plan.cautions.map((caution) => (
            <li key={caution}>{caution}</li>
          ))}
          <li>The lighter partner decides how much weight, and stops it.</li>
        </ul>
      </section>
      <div className="mt-3 flex flex-wrap items-end justify-between gap-x-6 border-b-2 border-ink pb-1">
        <Heading size="sheet">{drill.title}</Heading>
        <p className="max-w-72 text-right text-quiet">{plan.kind.feeder}</p>
      </div>
      {drill.note && <p className="mt-1">{drill.note}</p>}
      {calls.map((link) => (
        <Call key={link.response} link={link} plan={plan} />
      ))}
      {finishes.length > 0 && <Stances finishes={finishes} />}
      <Landings plan={plan} />
      <Rounds plan={plan} />
      <Solo plan={plan} />
      <Lists plan={plan} />
      <SpotTheMistake plan={plan} />
      <p className="mt-2">
        <strong>Three of you:</strong>{" "}
        {plan.threes.map((t) => `${t.bottom} below, ${t.feeder} feeds, ${t.rests} rests`).join("; ")}; then
        again.
      </p>
      <p>
        <strong>Counts:</strong> {plan.kind.counts} <strong>Stop:</strong> {plan.kind.stop}
      </p>
    </article>
  );
}

/** One call: the word, what to give and how to hold it, what answers it, what to stop. */
function Call({ link, plan }: { link: PlannedLink; plan: Plan }) {
  const feeding = plan.feeding.find((f) => f.place === link.start)?.feeder;
  return (
    <section className="grid break-inside-avoid grid-cols-[7.5rem_minmax(0,1fr)] gap-x-4 border-b border-ink py-2 sm:grid-cols-[8.5rem_minmax(0,1.3fr)_minmax(0,1fr)] print:grid-cols-[8.5rem_minmax(0,1.3fr)_minmax(0,1fr)]">
      <div>
        <p className="text-quiet">{link.part === "opening" ? "always, in this order" : "shout"}</p>
        <p className="text-[34px] leading-none font-bold" style={{ fontStretch: "72%" }}>
          {link.word}
        </p>
      </div>
      <div>
        <p className="font-bold">{link.trigger || link.startTitle}.</p>
        {feeding?.gives && <p>{feeding.gives}</p>}
        {feeding?.weight && <p className="text-quiet">{feeding.weight}</p>}
      </div>
      <div className="max-sm:col-start-2">
        <p>
          They answer <strong>{lowerFirst(link.answer)}</strong>; then {lowerFirst(link.cue)}.
        </p>
        {feeding?.care && (
          <p>
            <span className="text-quiet">Take care:</span> {feeding.care}
          </p>
        )}
      </div>
    </section>
  );
}

/** What is shown and not said: the stance asks for the answer. */
function Stances({ finishes }: { finishes: PlannedLink[] }) {
  return (
    <section className="grid break-inside-avoid grid-cols-[7.5rem_minmax(0,1fr)] gap-x-4 border-b border-ink py-2 sm:grid-cols-[8.5rem_minmax(0,1fr)] print:grid-cols-[8.5rem_minmax(0,1fr)]">
      <div>
        <p className="text-quiet">show, say nothing</p>
        <p className="text-[26px] leading-none font-bold" style={{ fontStretch: "72%" }}>
          Your stance
        </p>
      </div>
      <ul>
        {finishes.map((link) => (
          <li key={link.response}>
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

/** The list itself: a row a turn, a box to tick a call. */
function Lists({ plan }: { plan: Plan }) {
  const turns = turnsOf(plan);
  if (turns.length === 0) return null;
  return (
    <div className="mt-3 grid gap-x-8 sm:grid-cols-2 print:grid-cols-2">
      {(["first", "second"] as const).map((bottom) => (
        <section key={bottom} className="border-t-2 border-ink pt-1">
          <h2 className="flex items-center gap-2 text-base">
            <span className="grid h-6 w-6 place-items-center border-2 border-ink">
              {bottom === "first" ? 1 : 2}
            </span>
            is below
          </h2>
          <ol>
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
    <li className="flex gap-x-2 border-t border-rule py-0.5">
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
