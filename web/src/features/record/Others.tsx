import { useState } from "react";
import type { Schemas } from "../../api/client";
import { Labelled } from "../../ui/Labelled";
import { Picker } from "../../ui/Picker";
import { loggedOf, swapped, type Logged, type Pair } from "./log";
import { rounds as roundsInWords } from "./words";

/** Who else rolled: tonight's pairs, or any two of the roster. */
export function Others({
  people,
  pairs,
  pair,
  rounds,
  name,
  choose,
}: {
  people: Schemas["Person"][];
  pairs: Pair[];
  pair?: Pair;
  rounds: Logged[];
  name: (id: string) => string;
  choose: (pair: Pair) => void;
}) {
  const [bottom, setBottom] = useState(pair?.bottom ?? "");
  const [top, setTop] = useState(pair?.top ?? "");
  const choices = people.map((one) => ({ id: one.id, title: one.name }));
  const alike = bottom !== "" && bottom === top;
  return (
    <section aria-label="Who rolled" className="mt-2">
      {pairs.length > 0 && (
        <ul>
          {pairs.map((one) => {
            const many = loggedOf(one, undefined, rounds);
            return (
              <li key={one.bottom + one.top} className="flex items-stretch border-b border-rule">
                <button
                  type="button"
                  className="flex min-h-12 grow items-center justify-between gap-3 text-left hover:underline"
                  onClick={() => choose(one)}
                >
                  <span>
                    <strong>{name(one.bottom)}</strong> under {name(one.top)}
                  </span>
                  <span className="text-quiet">{many === 0 ? "not yet" : roundsInWords(many)}</span>
                </button>
                <button
                  type="button"
                  className="word ml-4 min-w-11"
                  aria-label={`${name(one.top)} under ${name(one.bottom)}`}
                  onClick={() => choose(swapped(one))}
                >
                  Swap
                </button>
              </li>
            );
          })}
        </ul>
      )}
      <form
        className="mt-4 grid gap-3 sm:grid-cols-[1fr_1fr_auto] sm:items-end"
        onSubmit={(event) => {
          event.preventDefault();
          choose({ bottom, top });
        }}
      >
        <Labelled
          label="On the bottom"
          error={alike ? "Nobody rolls with themselves; choose another." : undefined}
        >
          <Picker
            label="On the bottom"
            value={bottom}
            choices={choices}
            onChange={setBottom}
            invalid={alike}
          />
        </Labelled>
        <Labelled label="On top">
          <Picker label="On top" value={top} choices={choices} onChange={setTop} />
        </Labelled>
        <button type="submit" className="plate min-h-11" disabled={bottom === "" || top === "" || alike}>
          These two
        </button>
      </form>
    </section>
  );
}
