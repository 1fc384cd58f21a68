import { useState } from "react";
import { KIND_LABEL, WORDS } from "../../labels";
import { Framed, type FieldProps, type Of } from "./Framed";

export function TextField(props: FieldProps<Of<"text">>) {
  const { field, value, onChange } = props;
  return (
    <Framed props={props}>
      {({ control, describedBy, invalid }) =>
        field.long ? (
          <textarea
            id={control}
            rows={2}
            className="box mt-0.5"
            maxLength={field.most}
            aria-invalid={invalid}
            aria-describedby={describedBy}
            value={(value as string | undefined) ?? ""}
            onChange={(event) => onChange(event.target.value.replace(/\n/g, " "))}
          />
        ) : (
          <input
            id={control}
            className="box mt-0.5"
            maxLength={field.most}
            placeholder={field.blank}
            aria-invalid={invalid}
            aria-describedby={describedBy}
            value={(value as string | undefined) ?? ""}
            onChange={(event) => onChange(event.target.value)}
          />
        )
      }
    </Framed>
  );
}

/** A number as it is typed; what is no number stays as text, and the server says what belongs there. */
function asNumber(text: string): unknown {
  const number = Number(text.trim().replace(",", "."));
  return text.trim() === "" ? undefined : Number.isFinite(number) ? number : text;
}

function shown(value: unknown): string {
  return value === undefined || value === null ? "" : `${value as number}`;
}

const same = (one: unknown, other: unknown) => JSON.stringify(one ?? null) === JSON.stringify(other ?? null);

/** What is typed, for as long as it stands for the value; once the value is another one, that. */
function useTyped(value: unknown, read: (text: string) => unknown, show: (value: unknown) => string) {
  const [typed, setTyped] = useState(() => show(value));
  const [seen, setSeen] = useState(value);
  let now = typed;
  // While drawing, not after it: what stood for another value must never be seen.
  if (!same(seen, value)) {
    setSeen(value);
    if (!same(read(typed), value)) {
      now = show(value);
      setTyped(now);
    }
  }
  return [now, setTyped] as const;
}

/** Keeps what is typed ("1.", "0,") while it is typed, and gives the number behind it. */
export function NumberBox({
  id,
  label,
  value,
  onChange,
  className = "",
  invalid,
  describedBy,
}: {
  id?: string;
  label?: string;
  value: unknown;
  onChange: (value: unknown) => void;
  className?: string;
  invalid?: boolean;
  describedBy?: string;
}) {
  const [typed, setTyped] = useTyped(value, asNumber, shown);
  return (
    <input
      id={id}
      aria-label={label}
      className={`box ${className}`}
      inputMode="decimal"
      aria-invalid={invalid}
      aria-describedby={describedBy}
      value={typed}
      onChange={(event) => {
        setTyped(event.target.value);
        onChange(asNumber(event.target.value));
      }}
    />
  );
}

export function NumberField(props: FieldProps<Of<"number">>) {
  return (
    <Framed props={props}>
      {({ control, describedBy, invalid }) => (
        <span className="mt-0.5 flex items-center gap-2">
          <NumberBox
            id={control}
            value={props.value}
            onChange={props.onChange}
            invalid={invalid}
            describedBy={describedBy}
          />
          {props.field.unit && <span className="text-quiet">{props.field.unit}</span>}
        </span>
      )}
    </Framed>
  );
}

export function ChoiceField(props: FieldProps<Of<"choice">>) {
  const { field, value, onChange } = props;
  return (
    <Framed props={props}>
      {({ control, describedBy, invalid }) => (
        <select
          id={control}
          className="box mt-0.5"
          aria-invalid={invalid}
          aria-describedby={describedBy}
          value={(value as string | undefined) ?? (field.none === undefined ? field.options[0]?.id : "")}
          onChange={(event) => onChange(event.target.value || undefined)}
        >
          {field.none !== undefined && <option value="">{field.none}</option>}
          {field.options.map((option) => (
            <option key={option.id} value={option.id}>
              {option.title}
            </option>
          ))}
        </select>
      )}
    </Framed>
  );
}

export function YesField({ field, value, onChange }: FieldProps<Of<"yes">>) {
  const on = (value as boolean | undefined) ?? field.usual;
  return (
    <label className="flex min-h-11 items-center gap-2 self-end font-semibold lg:min-h-9">
      <input
        type="checkbox"
        className="size-5 accent-ink"
        checked={on}
        onChange={(event) => onChange(event.target.checked)}
      />
      {field.label}
    </label>
  );
}

function asLines(text: string): string[] {
  return text
    .split("\n")
    .map((line) => line.trim())
    .filter(Boolean);
}

export function TextsField(props: FieldProps<Of<"texts">>) {
  const lines = (props.value as string[] | undefined) ?? [];
  const [typed, setTyped] = useTyped(lines, asLines, () => lines.join("\n"));
  return (
    <div className="@lg:col-span-2">
      <Framed props={props}>
        {({ control, describedBy, invalid }) => (
          <textarea
            id={control}
            rows={Math.max(3, lines.length + 1)}
            className="box mt-0.5"
            aria-invalid={invalid}
            aria-describedby={describedBy}
            value={typed}
            onChange={(event) => {
              setTyped(event.target.value);
              props.onChange(asLines(event.target.value));
            }}
          />
        )}
      </Framed>
    </div>
  );
}

export function CodesField(props: FieldProps<Of<"codes">>) {
  const codes = (props.value as string[] | undefined) ?? [];
  return (
    <Framed props={props} group>
      {() => (
        <div className="flex flex-wrap gap-x-5">
          {props.field.options.map((option) => (
            <label key={option.id} className="flex min-h-11 items-center gap-2 lg:min-h-8">
              <input
                type="checkbox"
                className="size-5 accent-ink"
                checked={codes.includes(option.id)}
                onChange={(event) =>
                  props.onChange(
                    event.target.checked ? [...codes, option.id] : codes.filter((c) => c !== option.id),
                  )
                }
              />
              {option.title}
            </label>
          ))}
        </div>
      )}
    </Framed>
  );
}

const UNSAID = "unsaid";

export function LikelihoodInput(props: FieldProps<Of<"likelihood">>) {
  const { value, onChange, field } = props;
  const word = (WORDS as readonly unknown[]).includes(value);
  // A number that is being written anew is empty for a moment; it is a number all the same.
  const [counting, setCounting] = useState(typeof value === "number");
  const unsaid = field.none !== undefined && value === undefined && !counting;
  return (
    <Framed props={props}>
      {({ control, describedBy, invalid }) => (
        <span className="mt-0.5 flex gap-2">
          <select
            id={control}
            className="box"
            aria-describedby={describedBy}
            value={unsaid ? UNSAID : word ? (value as string) : ""}
            onChange={({ target }) => {
              setCounting(target.value === "");
              onChange(target.value === UNSAID ? undefined : target.value || (field.chance ? 0.5 : 3));
            }}
          >
            {field.none !== undefined && <option value={UNSAID}>{field.none}</option>}
            {WORDS.map((w) => (
              <option key={w}>{w}</option>
            ))}
            <option value="">a number</option>
          </select>
          {!word && !unsaid && (
            <NumberBox
              label={`${field.label}, as a number`}
              className="w-24!"
              value={value}
              invalid={invalid}
              onChange={onChange}
            />
          )}
        </span>
      )}
    </Framed>
  );
}

export function WorthField(props: FieldProps) {
  const worth = (props.value as Record<string, unknown> | undefined) ?? {};
  return (
    <Framed props={props} group>
      {({ invalid }) => (
        <div className="grid grid-cols-2 gap-x-4 gap-y-1 @lg:grid-cols-4">
          {Object.entries(KIND_LABEL).map(([kind, title]) => (
            <label key={kind} className="block">
              <span className="text-quiet">{title}</span>
              <NumberBox
                value={worth[kind] ?? 0}
                invalid={invalid}
                onChange={(value) => props.onChange({ ...worth, [kind]: value ?? 0 })}
              />
            </label>
          ))}
        </div>
      )}
    </Framed>
  );
}
