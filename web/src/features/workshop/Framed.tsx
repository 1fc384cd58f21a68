import { useId, type ReactNode } from "react";
import type { Schemas } from "../../api/client";
import type { Field } from "./field";
import type { PartList } from "../../model/partKinds";
import type { Part } from "./parts";

export interface FieldProps<F extends Field = Field> {
  map: Schemas["Map"];
  field: F;
  value: unknown;
  onChange: (value: unknown) => void;
  /** What is wrong, by the place within the part. */
  errors: Map<string, string>;
  /** The place of this field within the part. */
  place: string;
  /** Makes a new part of a list and returns its id. */
  make: (list: PartList, title: string) => string;
  /** Parts made in this form, which are not on the map yet. */
  made: { list: PartList; id: string; title: string }[];
  /** The whole part as it is typed so far. */
  part: Part;
}

export type Of<K extends Field["kind"]> = Extract<Field, { kind: K }>;

/** The name of a field over its control, and what is wrong under it. */
export function Framed({
  props,
  children,
  group = false,
}: {
  props: FieldProps;
  children: (ids: { control: string; describedBy: string | undefined; invalid: boolean }) => ReactNode;
  group?: boolean;
}) {
  const id = useId();
  const error = errorAt(props);
  const describedBy = error ? `${id}-error` : props.field.hint ? `${id}-hint` : undefined;
  const ids = { control: id, describedBy, invalid: error !== undefined };
  const under = (
    <>
      {props.field.hint && (
        <span id={`${id}-hint`} className="block text-quiet">
          {props.field.hint}
        </span>
      )}
      {error && (
        <span id={`${id}-error`} role="alert" className="block text-rust">
          {error}
        </span>
      )}
    </>
  );
  if (group) {
    return (
      <fieldset className="min-w-0 @lg:col-span-2">
        <legend className="font-semibold">{props.field.label}</legend>
        {children(ids)}
        {under}
      </fieldset>
    );
  }
  return (
    <div className="min-w-0">
      <label htmlFor={id} className="block font-semibold">
        {props.field.label}
      </label>
      {children(ids)}
      {under}
    </div>
  );
}

/** What is wrong with a field. What lies in a field of a row or of a need of its own is said there. */
function errorAt({ errors, place, field }: FieldProps): string | undefined {
  const rest = OWN[field.kind] ?? /^(\/|$)/;
  return [...errors].find(([at]) => at.startsWith(place) && rest.test(at.slice(place.length)))?.[1];
}

/** Places below a field that are its own and not those of a field within. */
const OWN: Partial<Record<Field["kind"], RegExp>> = {
  rows: /^(\/[0-9]+)?$/,
  group: /^$/,
  tree: /^(\/(all|any)(\/[0-9]+)?)*$/,
};
