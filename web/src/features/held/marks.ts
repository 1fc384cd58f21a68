import { useMemo } from "react";
import { BEARING_LABEL, SEGMENTS, type Segment } from "../../labels";
import { useAddress } from "../../ui/address";

/** What somebody can tell of where they are. */
export interface Marks {
  /** Where the top player is; empty while it was not said. */
  where: string;
  held: Segment[];
  free: Segment[];
  so: string[];
  notSo: string[];
}

const NAMES = ["held", "free", "so", "notSo"] as const;

export function isMarked(marks: Marks): boolean {
  return marks.where !== "" || NAMES.some((name) => marks[name].length > 0);
}

/** The marks after a part of the body was pressed: held first, then free, then unsaid again. */
export function nextMark(marks: Marks, segment: Segment): Marks {
  const held = marks.held.filter((s) => s !== segment);
  const free = marks.free.filter((s) => s !== segment);
  if (marks.held.includes(segment)) free.push(segment);
  else if (!marks.free.includes(segment)) held.push(segment);
  return { ...marks, held, free };
}

/** The marks live in the address, so that a link brings them back. */
export function useMarks(): [Marks, (part: Partial<Marks>) => void] {
  const [params, write] = useAddress();
  const where = params.get("where") ?? "";
  const text = NAMES.map((name) => params.get(name) ?? "").join("|");
  const marks = useMemo(() => {
    const [held, free, so, notSo] = text.split("|").map((part) => part.split(" ").filter(Boolean)) as [
      string[],
      string[],
      string[],
      string[],
    ];
    const known = (list: string[]) => SEGMENTS.filter((s) => list.includes(s));
    return { where: where in BEARING_LABEL ? where : "", held: known(held), free: known(free), so, notSo };
  }, [text, where]);
  const change = (part: Partial<Marks>) =>
    write(
      Object.fromEntries(
        Object.entries(part).map(([name, told]) => [
          name,
          (typeof told === "string" ? told : told.join(" ")) || undefined,
        ]),
      ),
    );
  return [marks, change];
}
