import { useId } from "react";
import { problemOf } from "../../api/client";
import { Refused } from "../../ui/Notice";
import { Picker } from "../../ui/Picker";
import { useMay } from "../session";
import { usePair, usePeople } from "./pair";

/** Two from the roster, who is below and who is on top; everything is then reckoned for them. */
export function PairPick({
  you,
  they,
  onChange,
}: {
  you: string | undefined;
  they: string | undefined;
  onChange: (pair: { you?: string; they?: string }) => void;
}) {
  const may = useMay("see-people");
  const people = usePeople(may).data;
  const pair = usePair(you, they);
  const below = useId();
  const above = useId();
  // There from the first, whether people have been fetched or not, so that nothing moves when they are.
  if (!may) return null;
  const ageOf = (id: string | undefined) => people?.find((person) => person.id === id)?.age;
  /** Who can stand against somebody: no round is made of a child and a grown-up. */
  const against = (other: string | undefined) =>
    (people ?? [])
      .filter((person) => ageOf(other) === undefined || person.age === ageOf(other))
      .map((person) => ({ id: person.id, title: person.name }));
  return (
    <div className="col-span-full border-t border-rule pt-1">
      <div className="flex flex-wrap items-end gap-x-4 gap-y-1">
        <div className="min-w-40 grow basis-48">
          <label htmlFor={below} className="text-quiet">
            Below, from the roster
          </label>
          <Picker
            control={below}
            label="Below, from the roster"
            value={you ?? ""}
            none="nobody in particular"
            choices={against(they)}
            onChange={(id) => onChange({ you: id || undefined, they })}
          />
        </div>
        <div className="min-w-40 grow basis-48">
          <label htmlFor={above} className="text-quiet">
            On top, from the roster
          </label>
          <Picker
            control={above}
            label="On top, from the roster"
            value={they ?? ""}
            none="nobody in particular"
            choices={against(you)}
            onChange={(id) => onChange({ you, they: id || undefined })}
          />
        </div>
        {you && they && (
          <button
            type="button"
            className="word min-h-11 lg:min-h-9"
            onClick={() => onChange({ you: they, they: you })}
          >
            Change places
          </button>
        )}
        {(you || they) && (
          <button type="button" className="word min-h-11 lg:min-h-9" onClick={() => onChange({})}>
            Nobody in particular
          </button>
        )}
      </div>
      {Boolean(you) !== Boolean(they) && (
        <p className="mt-1 text-quiet">
          Choose the other one as well; until then it is reckoned for the matchup.
        </p>
      )}
      {pair.isError && <Refused problem={problemOf(pair.error)} />}
    </div>
  );
}
