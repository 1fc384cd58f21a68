import { Picker, type Choice } from "../../ui/Picker";
import { useHolds } from "../finish";
import { Framed, type FieldProps } from "./Framed";
import { needsIn, rooted } from "./needs";

/** Needs of pins and finishes that are named: those of the one that is edited first, then those of the others. */
export function NeedRefsField(props: FieldProps) {
  const ids = (props.value as string[] | undefined) ?? [];
  const choices = useChoices(props);
  return (
    <Framed props={props} group>
      {() => (
        <>
          <ul>
            {ids.map((id) => (
              <li key={id} className="flex items-baseline gap-4">
                <span>{choices.find((choice) => choice.id === id)?.title ?? id}</span>
                <button
                  type="button"
                  className="word shrink-0"
                  onClick={() => props.onChange(ids.filter((one) => one !== id))}
                >
                  take out
                </button>
              </li>
            ))}
          </ul>
          <div className="sm:max-w-80">
            <Picker
              label={`Add to: ${props.field.label}`}
              value=""
              choices={choices.filter((choice) => !ids.includes(choice.id))}
              onChange={(id) => props.onChange([...ids, id])}
            />
          </div>
        </>
      )}
    </Framed>
  );
}

/** A need that is typed and not saved yet has no id, so it cannot be named until it is. */
function useChoices({ map, part }: FieldProps): Choice[] {
  const holds = useHolds(map).data ?? [];
  const own: Choice[] = needsIn(rooted(part.needs)).flatMap((need) =>
    typeof need.id === "string" ? [{ id: need.id, title: String(need.title), detail: "here" }] : [],
  );
  const others = holds
    .filter((hold) => hold.id !== part.id)
    .flatMap((hold) => hold.needs.map((need) => ({ id: need.id, title: need.title, detail: hold.title })));
  return [...new Map([...others, ...own].map((choice) => [choice.id, choice])).values()].sort(
    (a, b) => Number(b.detail === "here") - Number(a.detail === "here"),
  );
}
