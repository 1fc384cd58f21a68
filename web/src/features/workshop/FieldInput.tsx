import type { ReactNode } from "react";
import { Framed, type FieldProps, type Of } from "./Framed";
import {
  ClockField,
  FlagsField,
  PlacesField,
  RefField,
  RefsField,
  SegmentsField,
  StanceField,
} from "./LinkFields";
import { NeedRefsField } from "./NeedRefsField";
import { NeedsField } from "./NeedsField";
import { textOf, type Part } from "./parts";
import { PutBack, usePutBack } from "./PutBack";
import { useRowKeys } from "./rowKeys";
import {
  ChoiceField,
  CodesField,
  LikelihoodInput,
  NumberField,
  TextField,
  TextsField,
  WorthField,
  YesField,
} from "./PlainFields";

/** One field of a part, whatever its kind. */
export function FieldInput(props: FieldProps): ReactNode {
  const { field } = props;
  switch (field.kind) {
    case "text":
      return <TextField {...props} field={field} />;
    case "number":
      return <NumberField {...props} field={field} />;
    case "choice":
      return <ChoiceField {...props} field={field} />;
    case "yes":
      return <YesField {...props} field={field} />;
    case "ref":
      return <RefField {...props} field={field} />;
    case "refs":
      return <RefsField {...props} field={field} />;
    case "stance":
      return <StanceField {...props} />;
    case "codes":
      return <CodesField {...props} field={field} />;
    case "texts":
      return <TextsField {...props} field={field} />;
    case "flags":
      return <FlagsField {...props} />;
    case "segments":
      return <SegmentsField {...props} field={field} />;
    case "places":
      return <PlacesField {...props} />;
    case "group":
      return <GroupField {...props} field={field} />;
    case "clock":
      return <ClockField {...props} />;
    case "likelihood":
      return <LikelihoodInput {...props} field={field} />;
    case "worth":
      return <WorthField {...props} />;
    case "rows":
      return <RowsField {...props} field={field} />;
    case "tree":
      return <NeedsField {...props} field={field} />;
    case "needs":
      return <NeedRefsField {...props} />;
  }
}

/** Several fields that make one object; what is emptied is left out. */
function GroupField(props: FieldProps<Of<"group">>) {
  const group = (props.value as Part | undefined) ?? {};
  return (
    <Framed props={props} group>
      {() => (
        <div className="grid gap-x-4 gap-y-1 border-l-2 border-rule pl-3 @lg:grid-cols-2">
          {props.field.fields.map((field) => (
            <FieldInput
              key={field.name}
              {...props}
              field={field}
              place={`${props.place}/${field.name}`}
              value={group[field.name]}
              onChange={(value) => {
                const next = Object.entries({ ...group, [field.name]: value });
                const said = next.filter(([, v]) => v !== undefined && v !== "");
                props.onChange(said.length > 0 ? Object.fromEntries(said) : undefined);
              }}
            />
          ))}
        </div>
      )}
    </Framed>
  );
}

/** What stands first in a row; nothing where nothing does. */
function firstWords(row: Part): string | undefined {
  return ["title", "cue", "ask", "sign"].map((name) => textOf(row, name)).find((words) => words !== "");
}

function RowsField(props: FieldProps<Of<"rows">>) {
  const rows = (props.value as Part[] | undefined) ?? [];
  const { keys, taken, back } = useRowKeys(rows.length);
  const lost = usePutBack(rows, props.onChange, back);
  const change = (at: number, row: Part) => props.onChange(rows.map((r, i) => (i === at ? row : r)));
  return (
    <Framed props={props} group>
      {() => (
        <>
          {rows.map((row, at) => (
            <div
              key={keys[at]}
              role="group"
              aria-label={`${props.field.one} ${at + 1}`}
              className="mb-2 grid gap-x-4 gap-y-1 border-l-2 border-rule pl-3 @lg:grid-cols-2"
            >
              {props.field.fields.map((field) => (
                <FieldInput
                  key={field.name}
                  {...props}
                  field={field}
                  place={`${props.place}/${at}/${field.name}`}
                  value={row[field.name]}
                  onChange={(value) => change(at, { ...row, [field.name]: value })}
                />
              ))}
              <button
                type="button"
                className="word justify-self-start"
                onClick={() => {
                  taken(at);
                  lost.take(
                    rows.filter((_, i) => i !== at),
                    firstWords(row) ?? `${props.field.one} ${at + 1}`,
                  );
                }}
              >
                Take this {props.field.one} out
              </button>
            </div>
          ))}
          <PutBack of={lost} />
          <button type="button" className="word" onClick={() => props.onChange([...rows, {}])}>
            Add a {props.field.one}
          </button>
        </>
      )}
    </Framed>
  );
}
