import { useState } from "react";
import { Link, useSearchParams } from "react-router";
import { problemOf, type Problem } from "../../api/client";
import { Heading } from "../../ui/Heading";
import { Refused } from "../../ui/Notice";
import { Picker } from "../../ui/Picker";
import { isoDay, later, weekday } from "../../ui/days";
import { paths } from "../map";
import { May, useMay } from "../session";
import { useBeginTerm, useTermDoings, type Term } from "./term";
import { mondayOf } from "./weeks";

const WEEKS = 12;

/** Where no term is kept yet. */
export function Begin({ mapId }: { mapId: string }) {
  return (
    <main className="max-w-2xl px-5 pt-4 pb-10">
      <Heading>No term is kept yet</Heading>
      <p className="mt-2">
        A term is some weeks of classes. Say when it begins and ends; what comes when, who has seen what, and
        what is left of it at the end is worked out from its{" "}
        <Link className="link" to={paths.lessons(mapId)}>
          classes
        </Link>
        .
      </p>
      <May right="plan-classes">
        <NewTerm mapId={mapId} />
      </May>
    </main>
  );
}

function NewTerm({ mapId, onDone }: { mapId: string; onDone?: (id: string) => void }) {
  const monday = mondayOf(isoDay(new Date()));
  const begin = useBeginTerm(mapId);
  const [title, setTitle] = useState("This term");
  const [first, setFirst] = useState(monday);
  const [last, setLast] = useState(later(monday, WEEKS * 7 - 1));
  const [problem, setProblem] = useState<Problem>();
  return (
    <form
      className="mt-3 flex flex-wrap items-end gap-x-4 gap-y-2"
      onSubmit={(event) => {
        event.preventDefault();
        const id = crypto.randomUUID();
        begin({ id, title, first, last }).then(
          () => onDone?.(id),
          (error: unknown) => setProblem(problemOf(error)),
        );
      }}
    >
      <TermFields
        title={title}
        first={first}
        last={last}
        set={{ title: setTitle, first: setFirst, last: setLast }}
      />
      <button type="submit" className="plate">
        Begin the term
      </button>
      {problem && <Refused problem={problem} />}
    </form>
  );
}

function TermFields({
  title,
  first,
  last,
  set,
}: {
  title: string;
  first: string;
  last: string;
  set: { title: (v: string) => void; first: (v: string) => void; last: (v: string) => void };
}) {
  return (
    <>
      <label className="block">
        <span className="block text-[13.5px] text-quiet">Called</span>
        <input
          className="box w-56"
          required
          maxLength={90}
          value={title}
          onChange={(e) => set.title(e.target.value)}
        />
      </label>
      <label className="block">
        <span className="block text-[13.5px] text-quiet">First day</span>
        <input
          className="box"
          type="date"
          required
          value={first}
          onChange={(e) => set.first(e.target.value)}
        />
      </label>
      <label className="block">
        <span className="block text-[13.5px] text-quiet">Last day</span>
        <input className="box" type="date" required value={last} onChange={(e) => set.last(e.target.value)} />
      </label>
    </>
  );
}

/** Which term, what it is called and how long it lasts; another one; away with this one. */
export function Settings({
  mapId,
  term,
  terms,
  onGone,
  onProblem,
}: {
  mapId: string;
  term: Term;
  terms: Term[];
  onGone: () => void;
  onProblem: (problem: Problem) => void;
}) {
  const may = useMay("plan-classes");
  const [, setParams] = useSearchParams();
  const [open, setOpen] = useState<"change" | "new">();
  const go = (id: string) =>
    setParams((params) => {
      params.set("term", id);
      return params;
    });
  return (
    <>
      {terms.length > 1 && (
        <Picker
          label="Term"
          value={term.id}
          choices={terms.map((one) => ({ id: one.id, title: `${one.title}, ${weekday(one.first)}` }))}
          onChange={go}
        />
      )}
      {may && (
        <>
          <button
            type="button"
            className="word"
            aria-expanded={open === "change"}
            onClick={() => setOpen(open === "change" ? undefined : "change")}
          >
            Change the term
          </button>
          <button
            type="button"
            className="word"
            aria-expanded={open === "new"}
            onClick={() => setOpen(open === "new" ? undefined : "new")}
          >
            Another term
          </button>
        </>
      )}
      {open === "change" && (
        <Change
          key={term.version}
          mapId={mapId}
          term={term}
          onDone={() => setOpen(undefined)}
          onGone={onGone}
          onProblem={onProblem}
        />
      )}
      {open === "new" && (
        <div className="basis-full">
          <NewTerm
            mapId={mapId}
            onDone={(id) => {
              go(id);
              setOpen(undefined);
            }}
          />
        </div>
      )}
    </>
  );
}

function Change({
  mapId,
  term,
  onDone,
  onGone,
  onProblem,
}: {
  mapId: string;
  term: Term;
  onDone: () => void;
  onGone: () => void;
  onProblem: (problem: Problem) => void;
}) {
  const doings = useTermDoings(mapId, term.id);
  const [title, setTitle] = useState(term.title);
  const [first, setFirst] = useState(term.first);
  const [last, setLast] = useState(term.last);
  const failed = (error: unknown) => onProblem(problemOf(error));
  return (
    <form
      className="flex basis-full flex-wrap items-end gap-x-4 gap-y-2"
      onSubmit={(event) => {
        event.preventDefault();
        doings.change({ ...term, title, first, last }).then(onDone, failed);
      }}
    >
      <TermFields
        title={title}
        first={first}
        last={last}
        set={{ title: setTitle, first: setFirst, last: setLast }}
      />
      <button type="submit" className="plate">
        Keep it so
      </button>
      <button
        type="button"
        className="word"
        onClick={() => {
          onGone();
          doings.remove().catch(failed);
        }}
      >
        Remove the term, keep its classes
      </button>
    </form>
  );
}
