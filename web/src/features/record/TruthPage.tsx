import { useState } from "react";
import { Link } from "react-router";
import type { Schemas } from "../../api/client";
import { hundred } from "../../labels";
import { Gate } from "../../ui/Gate";
import { Heading } from "../../ui/Heading";
import { together, Waiting } from "../../ui/Waiting";
import { dayInWords } from "../../ui/when";
import { paths, placeTitle, useMap } from "../map";
import { Disagreements } from "./Disagreements";
import { LogNext } from "./LogNext";
import { Reliability } from "./Reliability";
import { agreeing, error, seenOf, signed, useTruth, type Truth, type TruthPlace } from "./truth";
import { rounds as roundsInWords } from "./words";

/** What the map says of rounds from each place, beside what came of them. */
export function TruthPage() {
  const map = useMap();
  const truth = useTruth(map.data);
  const ready = together({ map, truth });
  if (!ready.data) return <Waiting what="Holding the map against what was logged" on={ready} />;
  const { map: opened, truth: told } = ready.data;
  return (
    <div className="lg:grid lg:min-h-[calc(100dvh-76px)] lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)] wide:grid-cols-[minmax(0,5fr)_minmax(0,4fr)]">
      <main className="min-w-0 px-5 pt-3 pb-6">
        <Heading>Does the map tell the truth?</Heading>
        <Verdict map={opened} truth={told} />
        {told.places.length > 0 && <Places map={opened} truth={told} />}
        {told.brier && <HowFarOff map={opened} truth={told} brier={told.brier} />}
      </main>
      <aside className="min-w-0 border-rule px-5 pt-3 pb-6 max-lg:border-t-2 max-lg:border-ink lg:border-l">
        {told.places.length > 0 && <Disagreements map={opened} truth={told} />}
        <LogNext map={opened} />
      </aside>
    </div>
  );
}

/** In one sentence: yes, no, or too little to say. */
function Verdict({ map, truth }: { map: Schemas["Map"]; truth: Truth }) {
  const agrees = agreeing(truth);
  const all = truth.places.length;
  const few = `${truth.fewer} more ${truth.fewer === 1 ? "place has" : "places have"} fewer than ${truth.enough}: too little to say.`;
  if (all === 0) {
    return (
      <p className="mt-1">
        <strong>Too little to say yet.</strong> A place needs {truth.enough} rounds that ended in a guard or
        better, or with a tap
        {truth.fewer > 0 && `; ${truth.fewer} ${truth.fewer === 1 ? "place has" : "places have"} some`}.{" "}
        <Link className="link" to={paths.log(map.id)}>
          Log a round
        </Link>
      </p>
    );
  }
  return (
    <p className="mt-1">
      <strong>
        {agrees === all
          ? all === 1
            ? "In the one place with enough rounds, yes."
            : `In all ${all} places, yes.`
          : `In ${agrees} of ${all} places, yes.`}
      </strong>{" "}
      {roundsInWords(truth.rounds)}
      {truth.since && `, ${dayInWords(truth.since)} to today`}, everybody. {truth.fewer > 0 && few}
    </p>
  );
}

/** Places that are shown of those in which map and mat agree, until more are asked for. */
const SHOWN = 9;

const ROW =
  "grid items-center gap-x-3 border-b border-rule py-1.5 grid-cols-[minmax(0,1fr)_2rem_9.5rem] mid:grid-cols-[minmax(0,1fr)_2.6rem_minmax(0,10.5rem)_2rem_7rem] lg:py-1 wide:grid-cols-[minmax(0,1fr)_3.2rem_minmax(0,16rem)_2.5rem_7.5rem]";

function Places({ map, truth }: { map: Schemas["Map"]; truth: Truth }) {
  const off = truth.places.filter((one) => !one.agrees);
  const on = truth.places.filter((one) => one.agrees);
  const [all, setAll] = useState(false);
  return (
    <section aria-label="Place by place" className="mt-3 border-t-[3px] border-ink">
      <p aria-hidden="true" className={`${ROW} text-quiet`}>
        <span>place</span>
        <span className="text-right max-mid:hidden">rounds</span>
        <span className="flex items-center gap-x-2 max-mid:hidden">
          <i className="block h-4 w-[3px] bg-ink" /> map says
          <i className="gate-doubt block h-3.5 w-7" /> seen
        </span>
        <span className="text-right">map</span>
        <span className="text-right">seen, of 100</span>
      </p>
      <ul>
        {off.map((one) => (
          <Place key={one.place} map={map} one={one} />
        ))}
      </ul>
      {off.length > 0 && on.length > 0 && (
        <p className="border-t border-b border-t-ink border-b-rule py-1 text-quiet">
          The map lies inside what was seen:
        </p>
      )}
      <ul className="border-b-[3px] border-ink">
        {(all ? on : on.slice(0, SHOWN)).map((one) => (
          <Place key={one.place} map={map} one={one} />
        ))}
      </ul>
      {on.length > SHOWN && (
        <button type="button" className="word mt-1" aria-expanded={all} onClick={() => setAll(!all)}>
          {all ? "fewer" : `${on.length - SHOWN} more in which it does`}
        </button>
      )}
    </section>
  );
}

function Place({ map, one }: { map: Schemas["Map"]; one: TruthPlace }) {
  const { share, range } = seenOf(one);
  return (
    <li className={ROW}>
      <Link
        className={`min-w-0 truncate no-underline hover:underline max-lg:min-h-11 max-lg:content-center ${one.agrees ? "" : "font-semibold"}`}
        style={{ fontStretch: "80%" }}
        to={paths.situation(map.id, one.place)}
      >
        {placeTitle(map, one.place)}
      </Link>
      <span className="text-right text-quiet max-mid:hidden">
        {one.rounds}
        <span className="sr-only"> rounds</span>
      </span>
      <Gate
        worth={share}
        doubt={one}
        beside={one.said}
        height={14}
        className="max-mid:order-last max-mid:col-span-3"
      />
      <span className={`text-right ${one.agrees ? "" : "font-semibold"}`}>
        <span className="sr-only">the map says </span>
        {hundred(one.said)}
      </span>
      <span className="text-right whitespace-nowrap">
        <span className="sr-only">seen </span>
        <strong>{hundred(share)}</strong> <span className="text-quiet">({range})</span>
        <span className="text-quiet mid:hidden"> · {one.rounds}</span>
      </span>
    </li>
  );
}

/** The error of all places together, in its parts, beside the picture of them. */
function HowFarOff({ map, truth, brier }: { map: Schemas["Map"]; truth: Truth; brier: Schemas["Brier"] }) {
  const parts = [
    ["what nobody could know", error(brier.uncertainty)],
    ["taken off: it tells good places from bad", signed(-brier.resolution)],
    ["added: its numbers are off", signed(brier.reliability)],
  ];
  return (
    <section
      className="mt-4 grid gap-x-7 gap-y-3 mid:grid-cols-[13rem_minmax(0,1fr)]"
      aria-labelledby="how-far"
    >
      <Reliability map={map} truth={truth} />
      <div>
        <h2 id="how-far" className="text-lg">
          How far off, all together
        </h2>
        <p className="mt-1">
          <strong>{error(brier.score)}</strong> on average; 0 is never wrong, and saying {hundred(brier.mean)}{" "}
          every time would give {error(brier.uncertainty)}.
        </p>
        <dl className="mt-2">
          {parts.map(([what, how]) => (
            <div key={what} className="flex justify-between gap-3 border-b border-rule py-0.5">
              <dt>{what}</dt>
              <dd className="tabular-nums">{how}</dd>
            </div>
          ))}
        </dl>
        <details className="mt-2 text-quiet">
          <summary className="min-h-8">How this is reckoned</summary>
          <p className="mt-1">
            A round counts where it ended in a guard or better, or with a tap. What the map says is what it
            says of those very pairs, by their weights, an answer chosen as the map would. The error is the
            square of how far what is said lies from what came, 1 or 0 (Brier 1950, in Murphy’s parts of
            1973). Ranges hold nine times in ten (Clopper and Pearson 1934).
          </p>
        </details>
      </div>
    </section>
  );
}
