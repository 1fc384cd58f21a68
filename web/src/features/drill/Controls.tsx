import type { Schemas } from "../../api/client";
import { indexOf } from "../../model/mapIndex";
import { Picker } from "../../ui/Picker";
import { reactionTitle, theyDo } from "../map";
import { linkKey, type Drill, type DrillKind } from "./design";
import { KINDS, needsPlace } from "./words";

/** Minutes, kind, sides, how many and which: everything the coach sets beside the links themselves. */
export function Controls({
  drill,
  ladder,
  change,
}: {
  drill: Drill;
  /** The kinds in the order in which the pair's level climbs them. */
  ladder: string[];
  change: (part: Partial<Drill>) => void;
}) {
  const offered = KINDS.filter((k) =>
    needsPlace(k.kind) ? drill.place : k.kind === "solo" || drill.links.length > 0,
  );
  const rungs = ladder.flatMap((code) => offered.filter((k) => k.kind === code));
  const others = offered.filter((k) => !ladder.includes(k.kind));
  const pattern = drill.kind === "round-pattern";
  return (
    <div className="space-y-3">
      <Minutes value={drill.minutes} onChange={(minutes) => change({ minutes })} />
      <label className="block">
        <span className="text-quiet">Kind</span>
        <select
          className="box mt-0.5"
          value={drill.kind}
          onChange={(event) => change({ kind: event.target.value as DrillKind })}
        >
          {rungs.length > 0 && (
            <optgroup label="Step by step for this pair">
              {rungs.map((k) => (
                <Kind key={k.kind} kind={k} />
              ))}
            </optgroup>
          )}
          {others.map((k) => (
            <Kind key={k.kind} kind={k} />
          ))}
        </select>
      </label>
      <Sides sides={drill.sides} onChange={(sides) => change({ sides })} />
      {pattern && (
        <div className="grid grid-cols-2 gap-2">
          <Count
            label="At least"
            value={drill.least}
            most={12}
            onChange={(least) => change({ least, most: Math.max(least, drill.most) })}
          />
          <Count
            label="At most"
            value={drill.most}
            most={12}
            onChange={(most) => change({ most, least: Math.min(most, drill.least) })}
          />
        </div>
      )}
      {drill.kind === "chain" && (
        <Count
          label="Each link for each partner, at least"
          value={drill.repetitions}
          most={20}
          onChange={(repetitions) => change({ repetitions })}
        />
      )}
    </div>
  );
}

function Kind({ kind }: { kind: (typeof KINDS)[number] }) {
  return (
    <option value={kind.kind}>
      {kind.title}: {kind.says}
    </option>
  );
}

function Minutes({ value, onChange }: { value: number; onChange: (minutes: number) => void }) {
  const step = (by: number) => onChange(Math.min(60, Math.max(1, Math.round(value) + by)));
  return (
    <div className="flex items-center gap-3">
      <output
        className="text-[44px] leading-none font-bold"
        style={{ fontStretch: "76%" }}
        aria-live="polite"
      >
        {Math.round(value)}
      </output>
      <span className="font-semibold">minutes</span>
      <span className="ml-auto flex gap-2">
        <button
          type="button"
          aria-label="One minute less"
          className="h-11 w-11 border-2 border-ink text-lg"
          onClick={() => step(-1)}
        >
          −
        </button>
        <button
          type="button"
          aria-label="One minute more"
          className="h-11 w-11 border-2 border-ink text-lg"
          onClick={() => step(1)}
        >
          +
        </button>
      </span>
    </div>
  );
}

const SIDES: { title: string; sides: Drill["sides"] }[] = [
  { title: "left, then right", sides: ["left", "right"] },
  { title: "right, then left", sides: ["right", "left"] },
  { title: "left only", sides: ["left"] },
  { title: "right only", sides: ["right"] },
];

function Sides({ sides, onChange }: { sides: Drill["sides"]; onChange: (sides: Drill["sides"]) => void }) {
  return (
    <label className="block">
      <span className="text-quiet">Sides, the weak one first</span>
      <select
        className="box mt-0.5"
        value={sides.join()}
        onChange={(event) => onChange(event.target.value.split(",") as Drill["sides"])}
      >
        {SIDES.map((s) => (
          <option key={s.title} value={s.sides.join()}>
            {s.title}
          </option>
        ))}
      </select>
    </label>
  );
}

function Count({
  label,
  value,
  most,
  onChange,
}: {
  label: string;
  value: number;
  most: number;
  onChange: (value: number) => void;
}) {
  const options = Array.from({ length: most }, (_, i) => i + 1);
  return (
    <label className="block">
      <span className="text-quiet">{label}</span>
      <select className="box mt-0.5" value={value} onChange={(event) => onChange(Number(event.target.value))}>
        {(options.includes(value) ? options : [...options, value]).map((n) => (
          <option key={n}>{n}</option>
        ))}
      </select>
    </label>
  );
}

/** Another link for the drill, found by what they do, what you do or where it is. */
export function AddLink({
  map,
  drill,
  change,
}: {
  map: Schemas["Map"];
  drill: Drill;
  change: (part: Partial<Drill>) => void;
}) {
  const has = new Set([...drill.opening, ...drill.links, ...drill.finishes, ...drill.extension].map(linkKey));
  const choices = map.reactions
    .filter((r) => !r.doNot)
    .flatMap((r) =>
      r.responses
        .filter((q) => q.leads && !has.has(linkKey({ reaction: r.id, response: q.id })))
        .map((q) => ({
          id: linkKey({ reaction: r.id, response: q.id }),
          title: `${indexOf(map).situation(r.from)?.title ?? r.from}: ${reactionTitle(map, r.id)}`,
          detail: `, ${theyDo(q.cue)}`,
        })),
    );
  const add = (part: "opening" | "links" | "finishes") => (id: string) => {
    const [reaction, response] = id.split("/");
    change({ [part]: [...drill[part], { reaction: reaction!, response: response! }] });
  };
  return (
    <div className="mt-3 grid gap-3 sm:grid-cols-2 xl:grid-cols-3">
      <label>
        <span className="text-quiet">Add a link</span>
        <Picker label="Add a link" value="" choices={choices} onChange={add("links")} />
      </label>
      {drill.kind === "round-pattern" && (
        <>
          <label>
            <span className="text-quiet">Add a finish</span>
            <Picker label="Add a finish" value="" choices={choices} onChange={add("finishes")} />
          </label>
          <label>
            <span className="text-quiet">Add to the opening</span>
            <Picker label="Add to the opening" value="" choices={choices} onChange={add("opening")} />
          </label>
        </>
      )}
    </div>
  );
}
