import { lowerFirst } from "../map";
import type { Field } from "./field";
import { FieldInput } from "./FieldInput";
import { Framed, type FieldProps, type Of } from "./Framed";
import { isGroup, partsIn, rooted, withParts, type Group } from "./needs";
import { textOf, type Part } from "./parts";
import { PutBack, usePutBack } from "./PutBack";
import { useRowKeys } from "./rowKeys";

/** Groups may lie in each other this deep; the format allows one level more for the needs. */
const DEEPEST = 7;

type Props = FieldProps<Of<"tree">>;

/** What a pin or a finish needs: single needs, joined by "all of" and "any of" as deep as it takes. */
export function NeedsField(props: Props) {
  return (
    <Framed props={props} group>
      {() => (
        <GroupOfNeeds
          props={props}
          group={rooted(props.value)}
          place={props.place}
          depth={1}
          onChange={props.onChange}
        />
      )}
    </Framed>
  );
}

function GroupOfNeeds({
  props,
  group,
  place,
  depth,
  onChange,
  onRemove,
}: {
  props: Props;
  group: Group;
  place: string;
  depth: number;
  onChange: (group: Group) => void;
  onRemove?: () => void;
}) {
  const parts = partsIn(group);
  const { keys, taken, back } = useRowKeys(parts.length);
  const lost = usePutBack<Group>(group, onChange, back);
  const join = "any" in group ? "any" : "all";
  const change = (at: number, part: Part) =>
    onChange(
      withParts(
        group,
        parts.map((p, i) => (i === at ? part : p)),
      ),
    );
  const remove = (at: number) => {
    taken(at);
    const part = parts[at]!;
    lost.take(
      withParts(
        group,
        parts.filter((_, i) => i !== at),
      ),
      isGroup(part) ? "The group" : textOf(part, "title") || `Need ${at + 1}`,
    );
  };
  const add = (part: Part) => onChange(withParts(group, [...parts, part]));
  return (
    <div role="group" aria-label={depth === 1 ? "What they need" : "A group of needs"}>
      <select
        className="box mb-2 w-auto!"
        aria-label="How these needs join"
        value={join}
        onChange={(event) => onChange(event.target.value === "any" ? { any: parts } : { all: parts })}
      >
        <option value="all">They need all of these</option>
        <option value="any">Any one of these is enough</option>
      </select>
      {parts.map((part, at) => (
        <div key={keys[at]} className="mb-2 border-l-2 border-rule pl-3">
          {isGroup(part) ? (
            <GroupOfNeeds
              props={props}
              group={part}
              place={`${place}/${join}/${at}`}
              depth={depth + 1}
              onChange={(changed) => change(at, changed)}
              onRemove={() => remove(at)}
            />
          ) : (
            <Need
              props={props}
              need={part}
              number={at + 1}
              place={`${place}/${join}/${at}`}
              onChange={(changed) => change(at, changed)}
              onRemove={() => remove(at)}
            />
          )}
        </div>
      ))}
      <PutBack of={lost} />
      <div className="flex flex-wrap gap-x-5">
        <button type="button" className="word" onClick={() => add({ work: 2 })}>
          Add a need
        </button>
        {depth < DEEPEST && (
          <button
            type="button"
            className="word"
            onClick={() => add({ [join === "all" ? "any" : "all"]: [{ work: 2 }, { work: 2 }] })}
          >
            Add a group
          </button>
        )}
        {onRemove && (
          <button type="button" className="word" onClick={onRemove}>
            Take this group out
          </button>
        )}
      </div>
    </div>
  );
}

function Need({
  props,
  need,
  number,
  place,
  onChange,
  onRemove,
}: {
  props: Props;
  need: Part;
  number: number;
  place: string;
  onChange: (need: Part) => void;
  onRemove: () => void;
}) {
  const fields = props.field.fields;
  const more = fields.filter((field) => field.more);
  const input = (field: Field) => (
    <FieldInput
      key={field.name}
      {...props}
      field={field}
      place={`${place}/${field.name}`}
      value={need[field.name]}
      onChange={(value) => onChange({ ...need, [field.name]: value })}
    />
  );
  const isWrong = [...props.errors.keys()].some((at) =>
    more.some((f) => at.startsWith(`${place}/${f.name}`)),
  );
  return (
    <div role="group" aria-label={`need ${number}`} className="grid gap-x-4 gap-y-1 @lg:grid-cols-2">
      {fields.filter((field) => !field.more).map(input)}
      {more.length > 0 && (
        <details className="@lg:col-span-2" open={isWrong || undefined}>
          <summary className="w-fit cursor-pointer text-quiet">
            More: {more.map((field) => lowerFirst(field.label)).join(", ")}
            {more.some((field) => need[field.name] !== undefined) && " · written"}
          </summary>
          <div className="mt-1 grid gap-x-4 gap-y-1 @lg:grid-cols-2">{more.map(input)}</div>
        </details>
      )}
      <button type="button" className="word justify-self-start" onClick={onRemove}>
        Take this need out
      </button>
    </div>
  );
}
