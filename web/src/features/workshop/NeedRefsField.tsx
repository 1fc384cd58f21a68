import type { Choice } from "../../ui/Picker";
import { useHolds } from "../finish";
import type { FieldProps } from "./Framed";
import { Chosen } from "./LinkFields";
import { needsIn, rooted } from "./needs";

/** Needs of pins and finishes that are named: those of the one that is edited first, then those of the others. */
export function NeedRefsField(props: FieldProps) {
  return <Chosen props={props} choices={useChoices(props)} />;
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
