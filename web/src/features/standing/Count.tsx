import { useState } from "react";
import type { Schemas } from "../../api/client";
import { Labelled } from "../../ui/Labelled";
import { Picker } from "../../ui/Picker";
import { reactionTitle, placeTitle } from "../map";
import { useRecord, Waits } from "../record";
import { problemsOf, type Typed } from "./counting";
import { SIDES } from "./standing";

const ROLES = [
  { id: "first", title: "did it" },
  { id: "second", title: "fed it" },
] as const;

const NOTHING: Typed = { what: "", side: "left", role: "first", many: "", clean: "", fault: "" };

/** Repetitions that were counted: of an answer of the map, or of a technique from wherever. */
export function Count({ map, person, name }: { map: Schemas["Map"]; person: string; name: string }) {
  const { log, takeOut } = useRecord();
  const [typed, setTyped] = useState<Typed>(NOTHING);
  const [tried, setTried] = useState(false);
  const [last, setLast] = useState<{ id: string; words: string }>();
  const put = (some: Partial<Typed>) => setTyped({ ...typed, ...some });
  const reaction = map.reactions.find((one) => `r:${one.id}` === typed.what);
  const technique = reaction?.technique ?? map.techniques.find((one) => `t:${one.id}` === typed.what)?.id;
  const faults = map.techniques.find((one) => one.id === technique)?.faults ?? [];
  const problems = problemsOf(typed, technique !== undefined);
  const wrong = Object.values(problems).some(Boolean);
  const save = () => {
    setTried(true);
    if (wrong || technique === undefined) return;
    const id = crypto.randomUUID();
    log(map.id, {
      id,
      kind: "repetitions",
      at: new Date().toISOString(),
      person,
      technique,
      reaction: reaction?.id,
      side: typed.side,
      role: typed.role,
      many: Number(typed.many),
      clean: typed.clean.trim() === "" ? undefined : Number(typed.clean),
      fault: typed.fault || undefined,
    });
    setLast({ id, words: `${typed.many} ${typed.side}, ${typed.role === "first" ? "done" : "fed"}` });
    // The other side comes next, of the same.
    setTyped({
      ...NOTHING,
      what: typed.what,
      role: typed.role,
      side: typed.side === "left" ? "right" : "left",
    });
    setTried(false);
  };
  return (
    <section className="mt-6" aria-labelledby="count">
      <h2 id="count" className="border-b-[3px] border-ink pb-1 text-lg">
        Count repetitions of {name}
      </h2>
      <Waits />
      <form
        className="mt-2 space-y-3"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          save();
        }}
      >
        <div>
          <span className="font-semibold">What</span>
          <Picker
            label="What was repeated"
            value={typed.what}
            choices={choices(map)}
            none="Choose an answer or a technique"
            invalid={tried && problems.what !== undefined}
            onChange={(what) => put({ what, fault: "" })}
          />
          {tried && problems.what && (
            <span role="alert" className="block text-rust">
              {problems.what}
            </span>
          )}
        </div>
        <div className="flex flex-wrap gap-x-6 gap-y-2">
          <OneOf
            label="Side"
            value={typed.side}
            of={SIDES.map((side) => ({ id: side, title: side }))}
            onChange={(side) => put({ side })}
          />
          <OneOf label="They" value={typed.role} of={ROLES} onChange={(role) => put({ role })} />
        </div>
        <div className="flex flex-wrap gap-x-6 gap-y-3">
          <Labelled label="How many" error={tried ? problems.many : undefined}>
            <input
              className="box mt-0.5 block w-24"
              inputMode="numeric"
              value={typed.many}
              onChange={(event) => put({ many: event.target.value })}
            />
          </Labelled>
          <Labelled label="Of these clean" error={tried ? problems.clean : undefined}>
            <input
              className="box mt-0.5 block w-24"
              inputMode="numeric"
              value={typed.clean}
              onChange={(event) => put({ clean: event.target.value })}
            />
          </Labelled>
          {faults.length > 0 && (
            <Labelled label="Fault seen most">
              <select
                className="box mt-0.5 block max-w-full"
                value={typed.fault}
                onChange={(event) => put({ fault: event.target.value })}
              >
                <option value="">none noted</option>
                {faults.map((fault) => (
                  <option key={fault.sign} value={fault.sign}>
                    {fault.sign}
                  </option>
                ))}
              </select>
            </Labelled>
          )}
        </div>
        <button type="submit" className="plate">
          Keep them
        </button>
      </form>
      {last && (
        <p role="status" className="mt-2">
          Kept: {last.words}.{" "}
          <button
            type="button"
            className="word"
            onClick={() => {
              takeOut(map.id, last.id);
              setLast(undefined);
            }}
          >
            Take it out
          </button>
        </p>
      )}
    </section>
  );
}

function OneOf<T extends string>({
  label,
  value,
  of,
  onChange,
}: {
  label: string;
  value: T;
  of: readonly { id: T; title: string }[];
  onChange: (value: T) => void;
}) {
  return (
    <fieldset className="flex items-center gap-x-4">
      <legend className="float-left mr-4 font-semibold">{label}</legend>
      {of.map((one) => (
        <label key={one.id} className="flex min-h-11 items-center gap-1.5 lg:min-h-8">
          <input
            type="radio"
            className="accent-ink"
            checked={value === one.id}
            onChange={() => onChange(one.id)}
          />
          {one.title}
        </label>
      ))}
    </fieldset>
  );
}

function choices(map: Schemas["Map"]) {
  return [
    ...map.reactions.map((one) => ({
      id: `r:${one.id}`,
      title: reactionTitle(map, one.id),
      detail: placeTitle(map, one.from),
    })),
    ...map.techniques.map((one) => ({
      id: `t:${one.id}`,
      title: one.title,
      detail: "from nowhere in particular",
    })),
  ];
}
