import { useRef, useState } from "react";
import { problemOf, type Schemas } from "../../api/client";
import { Labelled } from "../../ui/Labelled";
import { Refused } from "../../ui/Notice";
import { plain } from "../../ui/find";
import { useDraft } from "../../ui/draft";
import {
  LEVEL_WORDS,
  sizesInWords,
  useAddPeople,
  useReadPeople,
  type Person,
  type PersonEdit,
} from "./people";

/** Adds people as fast as one types: a line each, or a table from a spreadsheet; what they would be is looked at first. */
export function AddPeople({ people }: { people: Person[] }) {
  const [added, setAdded] = useState<string[]>();
  const [round, setRound] = useState(0);
  return (
    <section>
      <h2 className="text-base lg:text-[15px]">Add people</h2>
      <Lines
        key={round}
        people={people}
        done={(names) => {
          setAdded(names);
          setRound(round + 1);
        }}
      />
      <p role="status" className="mt-2">
        {added && `Added: ${added.join(", ")}.`}
      </p>
    </section>
  );
}

const isText = (value: unknown): value is string => typeof value === "string";

function Lines({ people, done }: { people: Person[]; done: (names: string[]) => void }) {
  const { draft, change, drop } = useDraft("people", 0, "", isText);
  const text = draft.value;
  const read = useReadPeople();
  const add = useAddPeople();
  const file = useRef<HTMLInputElement>(null);
  const look = (given: string, table: boolean) => {
    add.reset();
    read.mutate({ text: given, table });
  };
  const found = read.data;
  return (
    <>
      <form
        className="mt-2 space-y-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (text.trim() !== "") look(text, false);
        }}
      >
        <Labelled label="A line each: the name, then what is known">
          <textarea
            className="box mt-1"
            rows={5}
            placeholder={
              "Wren Askeby, 62 kg, 171 cm, beginner, left\nPip Amberley, child, 38 kg, since 2026-01"
            }
            value={text}
            onChange={(event) => {
              read.reset();
              change(() => event.target.value);
            }}
          />
        </Labelled>
        <p className="flex flex-wrap items-center gap-x-5 gap-y-1">
          <button type="submit" className="plate" disabled={text.trim() === "" || read.isPending}>
            Look at them
          </button>
          <button type="button" className="word" onClick={() => file.current?.click()}>
            From a table …
          </button>
          <input
            ref={file}
            className="sr-only"
            type="file"
            tabIndex={-1}
            aria-label="A table of people"
            accept=".csv,text/csv"
            onChange={(event) => {
              const chosen = event.target.files?.[0];
              event.target.value = "";
              if (chosen) void chosen.text().then((table) => look(table, true));
            }}
          />
        </p>
      </form>
      {read.isError && (
        <div className="mt-3">
          <Refused problem={problemOf(read.error)} />
        </div>
      )}
      {found && (
        <Preview
          found={found}
          people={people}
          busy={add.isPending}
          cancel={() => read.reset()}
          add={(chosen) =>
            add.mutate(chosen, {
              onSuccess: (made) => {
                drop();
                done(made.map((person) => person.name));
              },
            })
          }
        />
      )}
      {add.isError && (
        <div className="mt-3">
          <Refused problem={problemOf(add.error)} />
        </div>
      )}
    </>
  );
}

function Preview({
  found,
  people,
  busy,
  add,
  cancel,
}: {
  found: Schemas["PeopleRead"];
  people: Person[];
  busy: boolean;
  add: (people: PersonEdit[]) => void;
  cancel: () => void;
}) {
  const there = new Set(people.map((person) => plain(person.name)));
  const fresh = found.people.filter((person) => !there.has(plain(person.name)));
  return (
    <div className="mt-3 border-2 border-ink p-3">
      {found.problems.length > 0 && (
        <div role="alert" className="mb-2 border-l-4 border-rust pl-3">
          {found.problems.map((problem) => (
            <p key={problem.place} className="text-rust">
              <span className="font-semibold">{problem.place.replace(/^line/, "Line")}:</span>{" "}
              {problem.message}
            </p>
          ))}
        </div>
      )}
      <ul>
        {found.people.map((person, index) => (
          <li key={index} className="flex flex-wrap gap-x-4 border-b border-rule py-1">
            <span className="font-semibold">{person.name}</span>
            <span className="text-quiet">
              {[
                sizesInWords(person),
                person.level && LEVEL_WORDS[person.level],
                person.age === "children" && "a child",
                person.strong && `strong on the ${person.strong}`,
                person.joined && `since ${person.joined}`,
              ]
                .filter(Boolean)
                .join(", ")}
            </span>
            {there.has(plain(person.name)) && (
              <span className="text-rust">on the roster already, left out</span>
            )}
          </li>
        ))}
      </ul>
      <p className="mt-3 flex flex-wrap items-center gap-x-5">
        <button
          type="button"
          className="plate"
          disabled={busy || fresh.length === 0 || found.problems.length > 0}
          onClick={() => add(fresh)}
        >
          {fresh.length === 1 ? "Add one person" : `Add ${fresh.length} people`}
        </button>
        <button type="button" className="word" onClick={cancel}>
          {found.problems.length > 0 ? "Mend the lines" : "Not yet"}
        </button>
      </p>
    </div>
  );
}
