import { useState } from "react";
import { Link } from "react-router";
import { problemOf, type Schemas } from "../../api/client";
import { Heading } from "../../ui/Heading";
import { Labelled } from "../../ui/Labelled";
import { Refused } from "../../ui/Notice";
import { together, Waiting } from "../../ui/Waiting";
import { isoDay } from "../../ui/days";
import { lowerFirst, paths, useMap } from "../map";
import { May } from "../session";
import { AskedGates } from "./AskedGates";
import {
  agoInWords,
  costInWords,
  inOrder,
  useAskRepetitions,
  useStandings,
  type DueInClass,
  type Line,
} from "./standing";

/** Everybody in one line: what is due, gates for moving up, repetitions, the weaker side; and what is due for all of them. */
export function StandingsPage() {
  const map = useMap();
  const standings = useStandings(map.data?.id);
  const ready = together({ map, standings });
  if (!ready.data) return <Waiting what="Looking at where everybody stands" on={ready} />;
  const { map: opened, standings: all } = ready.data;
  return (
    <div className="lg:grid lg:min-h-[calc(100dvh-76px)] lg:grid-cols-[minmax(0,1fr)_minmax(0,24rem)] wide:grid-cols-[minmax(0,1fr)_minmax(0,30rem)]">
      <main className="min-w-0 px-5 pt-3 pb-6">
        <Heading>Due and gates</Heading>
        <p className="mt-1 max-w-[60rem] text-quiet">
          What each of them practised and is losing again, the gates they still have to show before they move
          up, and what they repeated. Whom it costs most stands first.
        </p>
        {all.people.length === 0 ? (
          <p className="mt-3">
            Nobody is on the roster yet.{" "}
            <Link className="link" to="/people">
              Add the first
            </Link>
            .
          </p>
        ) : (
          <People mapId={opened.id} lines={inOrder(all.people)} />
        )}
      </main>
      <aside className="min-w-0 border-rule px-5 pt-3 pb-6 max-lg:border-t-2 max-lg:border-ink lg:border-l">
        <DueForAll map={opened} due={all.due} />
        <AskedGates map={opened} from="novice" />
        <AskedGates map={opened} from="intermediate" />
        <Goal mapId={opened.id} many={all.goal} own={all.ownGoal} />
      </aside>
    </div>
  );
}

const ROW =
  "grid items-baseline gap-x-4 grid-cols-[minmax(0,1fr)_auto] mid:grid-cols-[minmax(0,9rem)_minmax(0,1fr)_7rem_5rem_4rem] wide:grid-cols-[minmax(0,15rem)_minmax(0,1fr)_10rem_6rem_6rem]";

function People({ mapId, lines }: { mapId: string; lines: Line[] }) {
  return (
    <>
      <div
        className={`${ROW} mt-3 border-b-[3px] border-ink pb-1 text-quiet max-mid:hidden`}
        aria-hidden="true"
      >
        <span>Who</span>
        <span>Due first, and what forgetting it costs of 100</span>
        <span>Gates shown</span>
        <span className="text-right">In 28 days</span>
        <span>Weaker</span>
      </div>
      <ul className="max-mid:mt-3 max-mid:border-t-[3px] max-mid:border-ink">
        {lines.map((line) => (
          <PersonLine key={line.person} mapId={mapId} line={line} />
        ))}
      </ul>
    </>
  );
}

function PersonLine({ mapId, line }: { mapId: string; line: Line }) {
  const today = isoDay(new Date());
  return (
    <li className={`${ROW} min-h-11 border-b border-rule py-1.5 lg:min-h-9 lg:py-1`}>
      <span className="min-w-0">
        <Link className="link font-semibold" to={paths.standing(mapId, line.person)}>
          {line.name}
        </Link>
        <span className="block whitespace-nowrap text-quiet max-mid:inline-block max-mid:pl-2 wide:inline-block wide:pl-2">
          {line.last ? agoInWords(line.last, today) : "not here yet"}
        </span>
      </span>
      <span className="min-w-0 max-mid:col-span-2 max-mid:row-start-2">
        {line.first ? (
          <>
            {line.first.title} <span className="text-quiet">({lowerFirst(line.first.placeTitle)})</span>{" "}
            <strong className="whitespace-nowrap">−{costInWords(line.first.cost)}</strong>
            {line.due > 1 && <span className="text-quiet"> and {line.due - 1} more</span>}
          </>
        ) : (
          <span className="text-quiet">{line.last ? "Nothing is due." : ""}</span>
        )}
      </span>
      <span className="whitespace-nowrap max-mid:text-right">
        {line.gates > 0 ? (
          <>
            {line.shown} of {line.gates}
            {line.ready > 0 && <span className="text-quiet">, {line.ready} ready</span>}
          </>
        ) : (
          <span className="text-quiet">–</span>
        )}
      </span>
      <span className="text-right max-mid:hidden">
        {line.lately > 0 ? `× ${Math.round(line.lately)}` : "–"}
      </span>
      <span className="max-mid:hidden">{line.weaker ?? <span className="text-quiet">–</span>}</span>
    </li>
  );
}

/** What is due for many, so that a class is given to it. */
function DueForAll({ map, due }: { map: Schemas["Map"]; due: DueInClass[] }) {
  const SHOWN = 6;
  return (
    <section aria-labelledby="due-for-all">
      <h2 id="due-for-all" className="border-b-[3px] border-ink pb-1 text-lg">
        Due for those who trained lately
      </h2>
      {due.length === 0 ? (
        <p className="border-b border-rule py-2">Nothing: what was practised is still there.</p>
      ) : (
        <ol>
          {due.slice(0, SHOWN).map((one) => (
            <li key={one.reaction} className="border-b border-rule py-1.5">
              <div className="flex items-baseline justify-between gap-3">
                <Link className="link font-semibold" to={paths.situation(map.id, one.place)}>
                  {one.title}
                </Link>
                <strong className="whitespace-nowrap">−{costInWords(one.cost)}</strong>
              </div>
              <div className="flex items-baseline justify-between gap-3 text-quiet">
                <span>
                  {one.placeTitle};{" "}
                  {one.who.length === 1 ? "for one of them" : `for ${one.who.length} of them`}
                </span>
                <Link className="word whitespace-nowrap" to={paths.drillFrom(map.id, one.place, "")}>
                  Drill it
                </Link>
              </div>
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}

/** Repetitions of one technique in a year; one place for all. */
function Goal({ mapId, many, own }: { mapId: string; many: number; own: boolean }) {
  const ask = useAskRepetitions(mapId);
  const [typed, setTyped] = useState<string>();
  const value = typed ?? String(many);
  const number = Number(value);
  const wrong = value.trim() === "" || !Number.isInteger(number) || number < 0 || number > 100_000;
  return (
    <section className="mt-6" aria-labelledby="goal">
      <h2 id="goal" className="border-b-[3px] border-ink pb-1 text-lg">
        Repetitions in a year
      </h2>
      <p className="mt-1">
        <strong>{many}</strong> of each technique, both sides together
        {own ? "" : "; our estimate, until you say otherwise"}.
      </p>
      <May right="plan-classes">
        <form
          className="mt-2 flex flex-wrap items-end gap-3"
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            if (!wrong) ask.mutate(number, { onSuccess: () => setTyped(undefined) });
          }}
        >
          <Labelled
            label="The gym asks for"
            error={wrong ? "Write a whole number from 0 to 100,000." : undefined}
          >
            <input
              className="box mt-0.5 block w-28"
              inputMode="numeric"
              value={value}
              onChange={(event) => setTyped(event.target.value)}
            />
          </Labelled>
          <button
            type="submit"
            className="word min-h-11 lg:min-h-8"
            disabled={wrong || ask.isPending || number === many}
          >
            Ask for that
          </button>
        </form>
        {ask.isError && <Refused problem={problemOf(ask.error)} />}
      </May>
    </section>
  );
}
