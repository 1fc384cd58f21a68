import { useState } from "react";
import { SEGMENT_LABEL, SEGMENTS } from "../../labels";
import { partsOf, type PartList } from "../../model/partKinds";
import { Picker, type Choice } from "../../ui/Picker";
import { Framed, type FieldProps, type Of } from "./Framed";
import { NumberBox } from "./PlainFields";
import { PutBack, usePutBack } from "./PutBack";

function choicesOf(props: FieldProps, lists: PartList[]): Choice[] {
  return [
    ...props.made.filter((m) => lists.includes(m.list)).map((m) => ({ ...m, detail: "new" })),
    ...lists.flatMap((list) =>
      list === "outcomes"
        ? props.map.outcomes.map((o) => ({ id: o.id, title: o.title, detail: "it ends" }))
        : partsOf(props.map, list),
    ),
  ];
}

export function RefField(props: FieldProps<Of<"ref">>) {
  const { field, value, onChange, make } = props;
  return (
    <Framed props={props}>
      {({ control, describedBy, invalid }) => (
        <Picker
          control={control}
          label={field.label}
          value={(value as string | undefined) ?? ""}
          choices={choicesOf(props, field.lists)}
          none={field.none}
          invalid={invalid}
          describedBy={describedBy}
          onChange={(id) => onChange(id || undefined)}
          onNew={field.makes ? (title) => onChange(make(field.makes!, title)) : undefined}
        />
      )}
    </Framed>
  );
}

export function RefsField(props: FieldProps<Of<"refs">>) {
  const { field, value, onChange, make } = props;
  const ids = (value as string[] | undefined) ?? [];
  const choices = choicesOf(props, [field.list]);
  return (
    <Chosen
      props={props}
      choices={choices}
      offered={field.near ? nearFirst(props, field.near, choices) : choices}
      ordered={!field.unordered}
      onNew={field.makes ? (title) => onChange([...ids, make(field.makes!, title)]) : undefined}
    />
  );
}

/** Several that are chosen, with a way to take each out and to add another. */
export function Chosen({
  props,
  choices,
  offered = choices,
  ordered = false,
  onNew,
}: {
  props: FieldProps;
  choices: Choice[];
  /** The same in the order in which they are offered. */
  offered?: Choice[];
  ordered?: boolean;
  onNew?: (title: string) => void;
}) {
  const { field, value, onChange } = props;
  const ids = (value as string[] | undefined) ?? [];
  const without = (at: number) => ids.filter((_, i) => i !== at);
  const lost = usePutBack(ids, onChange);
  return (
    <Framed props={props} group>
      {() => (
        <>
          <ol>
            {ids.map((id, at) => (
              <li key={`${id}-${at}`} className="flex items-baseline gap-4">
                <span>
                  {ordered && `${at + 1}. `}
                  <Named choice={choices.find((c) => c.id === id)} id={id} />
                </span>
                {at > 0 && ordered && (
                  <button
                    type="button"
                    className="word shrink-0"
                    onClick={() => {
                      const next = without(at);
                      next.splice(at - 1, 0, id);
                      onChange(next);
                    }}
                  >
                    earlier
                  </button>
                )}
                <button
                  type="button"
                  className="word shrink-0"
                  onClick={() => lost.take(without(at), choices.find((c) => c.id === id)?.title ?? id)}
                >
                  take out
                </button>
              </li>
            ))}
          </ol>
          <PutBack of={lost} />
          <div className="@lg:max-w-80">
            <Picker
              label={`Add to: ${field.label}`}
              value=""
              choices={offered.filter((choice) => !ids.includes(choice.id))}
              onChange={(id) => onChange([...ids, id])}
              onNew={onNew}
            />
          </div>
        </>
      )}
    </Framed>
  );
}

function Named({ choice, id }: { choice: Choice | undefined; id: string }) {
  return (
    <>
      {choice?.title ?? id}
      {choice?.detail && <span className="text-quiet"> {choice.detail}</span>}
    </>
  );
}

/** The reactions taught where the part lies, before the others. */
function nearFirst({ map, part }: FieldProps, near: string, choices: Choice[]): Choice[] {
  const places = new Set(part[near] as string[] | undefined);
  const here = new Set(map.reactions.filter((r) => places.has(r.from)).map((r) => r.id));
  return [...choices.filter((c) => here.has(c.id)), ...choices.filter((c) => !here.has(c.id))];
}

export function StanceField(props: FieldProps) {
  const choices = props.map.principles.flatMap((p) =>
    p.stances.map((s) => ({ id: `${p.id}/${s.id}`, title: s.title, detail: p.title })),
  );
  return (
    <Framed props={props}>
      {({ control }) => (
        <Picker
          control={control}
          label={props.field.label}
          value={(props.value as string | undefined) ?? ""}
          choices={choices}
          none="none"
          onChange={(id) => props.onChange(id || undefined)}
        />
      )}
    </Framed>
  );
}

export function FlagsField(props: FieldProps) {
  const flags = (props.value as Record<string, boolean> | undefined) ?? {};
  const facts = choicesOf(props, ["facts"]);
  // What is left unsaid stays in sight until the form closes, so that it can be said again.
  const [seen, setSeen] = useState(() => Object.keys(flags));
  const shown = [...new Set([...seen, ...Object.keys(flags)])];
  const say = (id: string, so: boolean | undefined) => {
    setSeen(shown);
    const others = Object.entries(flags).filter(([fact]) => fact !== id);
    props.onChange(Object.fromEntries(so === undefined ? others : [...others, [id, so]]));
  };
  return (
    <Framed props={props} group>
      {() => (
        <>
          <ul className="space-y-1">
            {shown.map((id) => (
              <li key={id}>
                <label className="flex items-center gap-x-3">
                  <select
                    className="box w-28! shrink-0"
                    value={id in flags ? (flags[id] ? "yes" : "no") : ""}
                    onChange={(event) =>
                      say(id, event.target.value === "" ? undefined : event.target.value === "yes")
                    }
                  >
                    <option value="yes">yes</option>
                    <option value="no">no</option>
                    <option value="">not said</option>
                  </select>
                  <span className={id in flags ? "" : "text-quiet"}>
                    {facts.find((f) => f.id === id)?.title ?? id}
                  </span>
                </label>
              </li>
            ))}
          </ul>
          <div className="mt-1 @lg:max-w-80">
            <Picker
              label={`Add to: ${props.field.label}`}
              value=""
              choices={facts.filter((f) => !shown.includes(f.id))}
              onChange={(id) => say(id, true)}
              onNew={(title) => say(props.make("facts", title), true)}
            />
          </div>
        </>
      )}
    </Framed>
  );
}

/** Something said of single segments of the body. */
export function SegmentsField(props: FieldProps<Of<"segments">>) {
  const said = (props.value as Record<string, string> | undefined) ?? {};
  return (
    <Framed props={props} group>
      {() => (
        <div className="grid gap-x-4 gap-y-1 @lg:grid-cols-2">
          {SEGMENTS.map((segment) => (
            <label key={segment} className="flex items-center gap-2">
              <span className="w-20 shrink-0 text-quiet">{SEGMENT_LABEL[segment]}</span>
              <input
                className="box"
                placeholder={props.field.blank}
                maxLength={props.field.most}
                value={said[segment] ?? ""}
                onChange={(event) => {
                  const next = { ...said, [segment]: event.target.value };
                  props.onChange(Object.fromEntries(Object.entries(next).filter(([, by]) => by !== "")));
                }}
              />
            </label>
          ))}
        </div>
      )}
    </Framed>
  );
}

/** Places with a number each. */
export function PlacesField(props: FieldProps) {
  const places = (props.value as Record<string, unknown> | undefined) ?? {};
  const choices = choicesOf(props, ["situations", "outcomes"]);
  const without = (id: string) =>
    Object.fromEntries(Object.entries(places).filter(([place]) => place !== id));
  const lost = usePutBack(places, props.onChange);
  return (
    <Framed props={props} group>
      {({ invalid }) => (
        <>
          <ul>
            {Object.entries(places).map(([id, worth]) => {
              const title = choices.find((c) => c.id === id)?.title ?? id;
              return (
                <li key={id} className="flex flex-wrap items-center gap-x-4">
                  <span className="min-w-40">{title}</span>
                  <NumberBox
                    label={`What coming to “${title}” is worth, from 0 to 1`}
                    className="w-24!"
                    value={worth}
                    invalid={invalid}
                    onChange={(value) => props.onChange({ ...places, [id]: value ?? 0 })}
                  />
                  <button type="button" className="word" onClick={() => lost.take(without(id), title)}>
                    take out
                  </button>
                </li>
              );
            })}
          </ul>
          <PutBack of={lost} />
          <div className="@lg:max-w-80">
            <Picker
              label={`Add to: ${props.field.label}`}
              value=""
              choices={choices.filter((c) => !(c.id in places))}
              onChange={(id) => props.onChange({ ...places, [id]: 0 })}
            />
          </div>
        </>
      )}
    </Framed>
  );
}

interface Clock {
  seconds?: unknown;
  becomes?: string;
}

export function ClockField(props: FieldProps) {
  const clock = props.value as Clock | null | undefined;
  // Ticked off by mistake and on again, it says what it said.
  const [last, setLast] = useState<Clock>({ seconds: 6 });
  return (
    <Framed props={props} group>
      {({ invalid }) => (
        <>
          <label className="flex min-h-11 items-center gap-2 lg:min-h-8">
            <input
              type="checkbox"
              className="size-5 accent-ink"
              checked={Boolean(clock)}
              onChange={(event) => {
                if (clock) setLast(clock);
                props.onChange(event.target.checked ? last : undefined);
              }}
            />
            they move on
          </label>
          {clock && (
            <div className="grid gap-x-4 gap-y-1 @lg:grid-cols-2">
              <label className="block">
                <span className="text-quiet">after seconds, on average</span>
                <NumberBox
                  value={clock.seconds}
                  invalid={invalid}
                  onChange={(seconds) => props.onChange({ ...clock, seconds })}
                />
              </label>
              <div>
                <span className="text-quiet">to</span>
                <Picker
                  label="They move on to"
                  value={clock.becomes ?? ""}
                  choices={choicesOf(props, ["situations", "outcomes"])}
                  invalid={invalid}
                  onChange={(becomes) => props.onChange({ ...clock, becomes })}
                  onNew={(title) => props.onChange({ ...clock, becomes: props.make("situations", title) })}
                />
              </div>
            </div>
          )}
        </>
      )}
    </Framed>
  );
}
