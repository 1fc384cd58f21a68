import { SEGMENT_LABEL, SEGMENTS } from "../../labels";
import { partsOf, type PartList } from "../../model/partKinds";
import { Picker, type Choice } from "../../ui/Picker";
import { Framed, type FieldProps, type Of } from "./Framed";

import { NumberBox } from "./PlainFields";

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
                <button type="button" className="word shrink-0" onClick={() => onChange(without(at))}>
                  take out
                </button>
              </li>
            ))}
          </ol>
          <div className="sm:max-w-80">
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
  const without = (id: string) => Object.fromEntries(Object.entries(flags).filter(([fact]) => fact !== id));
  const facts = choicesOf(props, ["facts"]);
  return (
    <Framed props={props} group>
      {() => (
        <>
          <ul>
            {Object.entries(flags).map(([id, so]) => (
              <li key={id} className="flex flex-wrap items-baseline gap-x-4">
                <span>
                  {facts.find((f) => f.id === id)?.title ?? id}: {so ? "yes" : "no"}
                </span>
                <button
                  type="button"
                  className="word"
                  onClick={() => props.onChange({ ...flags, [id]: !so })}
                >
                  turn round
                </button>
                <button type="button" className="word" onClick={() => props.onChange(without(id))}>
                  leave open
                </button>
              </li>
            ))}
          </ul>
          <div className="sm:max-w-80">
            <Picker
              label={`Add to: ${props.field.label}`}
              value=""
              choices={facts.filter((f) => !(f.id in flags))}
              onChange={(id) => props.onChange({ ...flags, [id]: true })}
              onNew={(title) => props.onChange({ ...flags, [props.make("facts", title)]: true })}
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
        <div className="grid gap-x-4 gap-y-1 sm:grid-cols-2">
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
                  <button type="button" className="word" onClick={() => props.onChange(without(id))}>
                    take out
                  </button>
                </li>
              );
            })}
          </ul>
          <div className="sm:max-w-80">
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

export function ClockField(props: FieldProps) {
  const clock = props.value as { seconds?: unknown; becomes?: string } | null | undefined;
  return (
    <Framed props={props} group>
      {({ invalid }) => (
        <>
          <label className="flex min-h-11 items-center gap-2 lg:min-h-8">
            <input
              type="checkbox"
              className="size-5 accent-ink"
              checked={Boolean(clock)}
              onChange={(event) => props.onChange(event.target.checked ? { seconds: 6 } : undefined)}
            />
            they move on
          </label>
          {clock && (
            <div className="grid gap-x-4 gap-y-1 sm:grid-cols-2">
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
