import { Labelled } from "../../ui/Labelled";
import type { PersonEdit } from "./people";

/** What is typed about somebody; figures as they are typed, until they are sent. */
export interface Typed {
  name: string;
  level: string;
  weight: string;
  height: string;
  age: string;
  strong: string;
  joined: string;
  notes: string;
}

export function typedOf(person: PersonEdit): Typed {
  return {
    name: person.name,
    level: person.level ?? "",
    weight: person.weight?.toString() ?? "",
    height: person.height?.toString() ?? "",
    age: person.age,
    strong: person.strong ?? "",
    joined: person.joined ?? "",
    notes: person.notes,
  };
}

function figure(typed: string): number | undefined {
  return typed.trim() === "" ? undefined : Number(typed.replace(",", "."));
}

export function editOf(typed: Typed): PersonEdit {
  return {
    name: typed.name.trim(),
    level: (typed.level || undefined) as PersonEdit["level"],
    weight: figure(typed.weight),
    height: figure(typed.height),
    age: typed.age as PersonEdit["age"],
    strong: (typed.strong || undefined) as PersonEdit["strong"],
    joined: typed.joined || undefined,
    notes: typed.notes.trim(),
  };
}

/** What can be told to be wrong before it is sent. */
export function problemsOf(typed: Typed): Partial<Record<keyof Typed, string>> {
  const number = (value: string, what: string) => {
    const known = figure(value);
    return known !== undefined && !Number.isFinite(known)
      ? `“${value}” is not a number of ${what}.`
      : undefined;
  };
  return {
    name: typed.name.trim() === "" ? "Write a name." : undefined,
    weight: number(typed.weight, "kilograms"),
    height: number(typed.height, "centimetres"),
  };
}

/** The fields about a person. */
export function PersonFields({
  typed,
  onChange,
  problems,
}: {
  typed: Typed;
  onChange: (typed: Typed) => void;
  problems: Partial<Record<keyof Typed, string>>;
}) {
  const input = (name: keyof Typed, label: string, more: object = {}) => (
    <Labelled label={label} error={problems[name]}>
      <input
        className="box mt-0.5"
        aria-invalid={Boolean(problems[name])}
        autoComplete="off"
        value={typed[name]}
        onChange={(event) => onChange({ ...typed, [name]: event.target.value })}
        {...more}
      />
    </Labelled>
  );
  const select = (name: keyof Typed, label: string, options: [string, string][]) => (
    <Labelled label={label}>
      <select
        className="box mt-0.5"
        value={typed[name]}
        onChange={(event) => onChange({ ...typed, [name]: event.target.value })}
      >
        {options.map(([value, words]) => (
          <option key={value} value={value}>
            {words}
          </option>
        ))}
      </select>
    </Labelled>
  );
  return (
    <div className="grid gap-3 sm:grid-cols-2">
      <div className="sm:col-span-2">{input("name", "Name", { maxLength: 90 })}</div>
      {input("weight", "Weight, kg", { inputMode: "decimal", maxLength: 6 })}
      {input("height", "Height, cm", { inputMode: "decimal", maxLength: 6 })}
      {select("level", "Level", [
        ["", "not known"],
        ["novice", "first months"],
        ["intermediate", "some years"],
        ["advanced", "experienced"],
      ])}
      {select("strong", "Strong side", [
        ["", "not known"],
        ["left", "left"],
        ["right", "right"],
      ])}
      {select("age", "Age", [
        ["adults", "grown up"],
        ["children", "a child"],
      ])}
      {input("joined", "Joined", { type: "date" })}
      <div className="sm:col-span-2">
        <Labelled label="Notes, for those who teach">
          <textarea
            className="box mt-0.5"
            rows={3}
            maxLength={1000}
            value={typed.notes}
            onChange={(event) => onChange({ ...typed, notes: event.target.value.replace(/\n/g, " ") })}
          />
        </Labelled>
      </div>
    </div>
  );
}
