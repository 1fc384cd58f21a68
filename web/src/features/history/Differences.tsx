import { LIST_LABEL, FIELD_LABEL } from "../../labels";
import type { Schemas } from "../../api/client";

const SHOWN = 100;
const WORD = { added: "New", removed: "Taken out", changed: "Changed" };

/** "responses, “They sit”, leads" as it is read aloud. */
function fieldInWords(field: string): string {
  return field
    .split(", ")
    .map((part) => FIELD_LABEL[part] ?? part)
    .join(", ");
}

/** What was added, changed and taken out, field by field; before stands behind now. */
export function Differences({
  changes,
  was = "was",
}: {
  changes: Schemas["PartChange"][];
  /** The word before what stood there before. */
  was?: string;
}) {
  if (changes.length === 0) return <p className="mt-2">Nothing differs.</p>;
  return (
    <>
      <ul className="mt-2">
        {changes.slice(0, SHOWN).map((change) => (
          <li key={`${change.list} ${change.id}`} className="border-b border-rule py-1.5">
            <p>
              <span className={change.kind === "removed" ? "text-rust" : "text-quiet"}>
                {WORD[change.kind]}, {LIST_LABEL[change.list] ?? change.list}
              </span>{" "}
              <span className="font-semibold">{change.title}</span>
            </p>
            <dl>
              {change.fields.map((field) => (
                <div key={field.field} className="pl-4">
                  <dt className="inline text-quiet">{fieldInWords(field.field)}: </dt>
                  <dd className="inline">
                    {field.after ? <span className="font-semibold">{field.after}</span> : "not said any more"}
                    {field.before && (
                      <span className="text-quiet">
                        , {was} {field.before}
                      </span>
                    )}
                  </dd>
                </div>
              ))}
            </dl>
          </li>
        ))}
      </ul>
      {changes.length > SHOWN && <p className="mt-1 text-quiet">and {changes.length - SHOWN} more.</p>}
    </>
  );
}
