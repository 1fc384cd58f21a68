import type { Schemas } from "../../api/client";
import { lowerFirst } from "../map";
import { indexOf } from "../../model/mapIndex";

/** Why a reaction is closed: the facts that are against it. */
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
          return reaction.needs[what] ? `it is not so that ${title}` : title;
        }
        case "stance":
          return "the house has taken the other stance";
        case "injury":
          return `not with a bad ${what.replace("-", " ")}`;
        case "children":
          return "not for children";
        case "rule":
          return lowerFirst(indexOf(map).rule(what)?.title ?? what);
      }
    })
    .join(", and ");
}
