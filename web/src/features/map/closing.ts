import type { Schemas } from "../../api/client";
import { lowerFirst } from "./holes";
import { reactionTitle } from "./titles";
import { indexOf } from "../../model/mapIndex";

/** Why a reaction is closed: who or what closed it. */
export function closedInWords(
  map: Schemas["Map"],
  reaction: Schemas["Reaction"],
  closedBy: Schemas["Closing"][],
): string {
  return closedBy
    .map(({ kind, what }) => {
      switch (kind) {
        case "fact": {
          const title = lowerFirst(indexOf(map).fact(what)?.title ?? what);
          return `because ${reaction.needs[what] ? `it is only for when ${title}` : title}`;
        }
        case "stance":
          return "by the house, which has taken the other stance";
        case "injury":
          return `for a bad ${what.replace("-", " ")}`;
        case "children":
          return "for children";
        case "rule":
          return `by a rule, “${lowerFirst(indexOf(map).rule(what)?.title ?? what)}”`;
        case "aim":
          return `because for “${indexOf(map).aim(what)?.title ?? what}” the round is over here`;
        case "do-not":
          return "as a mistake";
      }
    })
    .join(", and ");
}

/** What to do instead of what is closed: an injury may spare another partner, and something else may be open. */
export function insteadInWords(
  map: Schemas["Map"],
  closedBy: Schemas["Closing"][],
  best: string | null | undefined,
): string {
  const other = reactionTitle(map, best ?? "");
  const ways = [
    closedBy.some((c) => c.kind === "injury") ? "swap the partner" : "",
    best ? `take “${other}”` : "",
  ].filter(Boolean);
  return ways.length > 0 ? `; ${ways.join(" or ")}` : "";
}
