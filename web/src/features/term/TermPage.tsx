import { useState } from "react";
import { useSearchParams } from "react-router";
import { problemOf, type Problem, type Schemas } from "../../api/client";
import { Heading } from "../../ui/Heading";
import { Loading, Refused } from "../../ui/Notice";
import { together, Waiting } from "../../ui/Waiting";
import { hundred } from "../../labels";
import { isoDay, later, weekday } from "../../ui/days";
import { shortNames } from "../lesson";
import { useMap } from "../map";
import { usePeople } from "../pair";
import { May, useMay } from "../session";
import { Begin, Settings } from "./Begin";
import { MakeUp } from "./MakeUp";
import { Pairs } from "./Pairs";
import { Remembered } from "./Remembered";
import { Repeat } from "./Repeat";
import { termOf, useBeginTerm, usePlannedTerm, useTermDoings, useTerms, type Term } from "./term";
import { askedBy, comingIn, type PlannedTerm } from "./weeks";
import { Weeks } from "./Weeks";

/** A term: its weeks, what is left of it at the end, who has seen what, and what has to be made up for. */
export function TermPage() {
  const map = useMap();
  const people = usePeople();
  const terms = useTerms(map.data?.id);
  const [params] = useSearchParams();
  const [gone, setGone] = useState<Term>();
  const ready = together({ map, people, terms });
  if (!ready.data) return <Waiting what="Looking for the term" on={ready} />;
  const asked = params.get("term");
  const term =
    ready.data.terms.find((one) => one.id === asked) ?? termOf(ready.data.terms, isoDay(new Date()));
  const { map: onMap, people: all } = ready.data;
  return (
    <>
      {gone && <PutBack mapId={onMap.id} term={gone} onDone={() => setGone(undefined)} />}
      {term ? (
        <OneTerm
          key={term.id}
          map={onMap}
          people={all}
          term={term}
          terms={ready.data.terms}
          onGone={() => setGone(term)}
        />
      ) : (
        <Begin mapId={onMap.id} />
      )}
    </>
  );
}

function PutBack({ mapId, term, onDone }: { mapId: string; term: Term; onDone: () => void }) {
  const begin = useBeginTerm(mapId);
  const [problem, setProblem] = useState<Problem>();
  return (
    <div role="status" className="px-5 pt-2">
      “{term.title}” is out; its classes stayed.{" "}
      <button
        type="button"
        className="word"
        onClick={() => void begin(term).then(onDone, (error: unknown) => setProblem(problemOf(error)))}
      >
        Put it back
      </button>
      {problem && <Refused problem={problem} />}
    </div>
  );
}

function OneTerm({
  map,
  people,
  term,
  terms,
  onGone,
}: {
  map: Schemas["Map"];
  people: Schemas["Person"][];
  term: Term;
  terms: Term[];
  onGone: () => void;
}) {
  const planned = usePlannedTerm(map.id, term.id);
  if (!planned.data) return <Waiting what="Working the term out" on={{ waitsFor: [planned] }} />;
  return (
    <TermSheet map={map} people={people} term={term} terms={terms} planned={planned.data} onGone={onGone} />
  );
}

function TermSheet({
  map,
  people,
  term,
  terms,
  planned,
  onGone,
}: {
  map: Schemas["Map"];
  people: Schemas["Person"][];
  term: Term;
  terms: Term[];
  onGone: () => void;
  planned: PlannedTerm;
}) {
  const may = useMay("plan-classes");
  const doings = useTermDoings(map.id, term.id);
  const [proposal, setProposal] = useState<PlannedTerm>();
  const [before, setBefore] = useState<Map<string, string[]>>();
  const [said, setSaid] = useState("");
  const [busy, setBusy] = useState("");
  const [problem, setProblem] = useState<Problem>();
  const short = shortNames(people);
  const names = (id: string) => short.get(id) ?? "somebody gone";
  const shown = proposal ?? planned;
  const coming = planned.classes.filter((one) => !one.over);

  const doing = async (what: string, run: () => Promise<void>) => {
    setBusy(what);
    setProblem(undefined);
    try {
      await run();
    } catch (error) {
      setProblem(problemOf(error));
    } finally {
      setBusy("");
    }
  };
  const asIs = () => new Map(comingIn(planned).map((one) => [one.id, one.asked]));
  const keep = (asked: Map<string, string[]>, words: string) =>
    doing("Keeping it", async () => {
      const were = asIs();
      await doings.ask(planned.classes, asked);
      setBefore(were);
      setProposal(undefined);
      setSaid(words);
    });

  return (
    <main className="px-5 pt-3 pb-10">
      <header className="border-b border-rule pb-3">
        <div className="flex flex-wrap items-end justify-between gap-x-8 gap-y-2">
          <div>
            <Heading>{planned.title}</Heading>
            <p className="text-quiet">
              {weekday(planned.first)} to {weekday(planned.last)}. {planned.classes.length - coming.length}{" "}
              classes are over, {coming.length} are to come; {planned.people.length} train.
            </p>
          </div>
          <Worth planned={shown} />
        </div>
        <div className="mt-2 flex flex-wrap items-center gap-x-5 gap-y-2">
          {may && !proposal && coming.length > 0 && (
            <button
              type="button"
              className="plate"
              disabled={busy !== ""}
              onClick={() =>
                void doing("Working the weeks out", async () => {
                  setProposal(await doings.propose());
                  setSaid("");
                })
              }
            >
              Work the weeks out
            </button>
          )}
          {proposal && (
            <>
              <button
                type="button"
                className="plate"
                disabled={busy !== ""}
                onClick={() =>
                  void keep(askedBy(proposal), "Kept: each class comes with what is asked of it.")
                }
              >
                Keep these weeks
              </button>
              <button type="button" className="word" onClick={() => setProposal(undefined)}>
                Leave them as they were
              </button>
            </>
          )}
          {may && !proposal && (
            <Repeat
              mapId={map.id}
              term={planned}
              onDone={async (words) => {
                await doings.after();
                setBefore(undefined);
                setSaid(words);
              }}
              onProblem={setProblem}
            />
          )}
          <May right="take-out">
            <a
              className="word inline-flex min-h-9 items-center"
              href={`/api/maps/${map.id}/classes/calendar?from=${planned.first}&until=${planned.last}`}
              download
            >
              For a calendar
            </a>
          </May>
          <Settings mapId={map.id} term={term} terms={terms} onGone={onGone} onProblem={setProblem} />
        </div>
        <div role="status" className="min-h-6">
          {busy && <Loading what={busy} />}
          {proposal && !busy && (
            <p className="mt-2 border-l-4 border-signal pl-3">
              This is a proposal; nothing of it is kept yet. What you have fixed or taken out in a class stays
              so.
            </p>
          )}
          {shown.later > 0 && !busy && (
            <p className="mt-1 text-quiet">
              It is worked out for the first {coming.length - shown.later} of {coming.length} classes to come;
              the {shown.later === 1 ? "last one waits" : `last ${shown.later} wait`} until their turn.
            </p>
          )}
          {said && !busy && !proposal && (
            <p className="mt-1">
              {said}{" "}
              {before && (
                <button
                  type="button"
                  className="word"
                  onClick={() =>
                    void doing("Taking it back", async () => {
                      await doings.ask(planned.classes, before);
                      setBefore(undefined);
                      setSaid("Taken back.");
                    })
                  }
                >
                  Undo
                </button>
              )}
            </p>
          )}
        </div>
        {problem && (
          <div className="mt-2">
            <Refused problem={problem} />
            {problem.status === 409 && (
              <button
                type="button"
                className="word mt-1"
                onClick={() => {
                  setProposal(undefined);
                  setProblem(undefined);
                  void doings.after();
                }}
              >
                Look at it as it is now
              </button>
            )}
          </div>
        )}
      </header>
      <div className="xl:grid xl:grid-cols-[minmax(0,1fr)_24rem] xl:gap-x-8">
        <div className="min-w-0">
          <Weeks map={map} term={planned} proposed={proposal && askedBy(proposal)} />
          <Remembered map={map} term={shown} />
        </div>
        <div className="min-w-0">
          <MakeUp
            map={map}
            term={shown}
            names={names}
            onRecall={
              may && !proposal && busy === ""
                ? (id, unit) => {
                    const one = planned.classes.find((other) => other.id === id)!;
                    void keep(
                      new Map([[id, [...one.asked, unit]]]),
                      `It is recalled on ${weekday(one.day)}.`,
                    );
                  }
                : undefined
            }
          />
          <Pairs map={map} term={shown} names={names} />
        </div>
      </div>
      {coming.length === 0 && later(planned.last, 1) > isoDay(new Date()) && planned.classes.length === 0 && (
        <p className="mt-4">
          No class stands in these weeks yet. Plan one under “All classes”; then its week can be repeated
          until the term ends.
        </p>
      )}
    </main>
  );
}

/** What the term brings, from before it to its end. */
function Worth({ planned }: { planned: PlannedTerm }) {
  const { plan } = planned;
  if (!plan) return <p className="text-quiet">Nobody has come to a class lately.</p>;
  const figures = [
    { label: "Untaught", worth: plan.now },
    { label: "If nothing more came", worth: plan.without },
    { label: "With these weeks", worth: plan.end },
  ];
  return (
    <div>
      <dl className="flex flex-wrap gap-x-6 gap-y-1">
        {figures.map(({ label, worth }) => (
          <div key={label}>
            <dt className="text-[13.5px] text-quiet">{label}</dt>
            <dd className="text-[26px] leading-none font-bold tabular-nums">{hundred(worth)}</dd>
          </div>
        ))}
      </dl>
      <p className="text-[13.5px] text-quiet">get out, of 100 starts, at the end of the term</p>
    </div>
  );
}
