import type { Schemas } from "../../api/client";
import { plain } from "../../ui/find";

export type Summary = Schemas["MapSummary"];

/** The names of the maps in use, as they are compared. */
export function namesOf(maps: Summary[], but?: string): Set<string> {
  return new Set(maps.filter((m) => !m.archived && m.id !== but).map((m) => plain(m.title.trim())));
}

/** Says that another map has that name already. */
export function Taken({ id }: { id: string }) {
  return (
    <span id={id} role="alert" className="block text-rust">
      There is a map of that name already; give it another.
    </span>
  );
}
