import { group } from "d3-array";
import type { Schemas } from "../../api/client";
import type { Overview } from "../odds";
import { paths } from "./paths";
import { indexOf } from "../../model/mapIndex";
import { titleIn } from "../../model/partKinds";

/** What is missing, in words, by situation; a situation in which nothing is missing is not in it. */
export function holesOf(map: Schemas["Map"], odds: Overview): Map<string, string> {
  const from = group(map.reactions, (r) => r.from);
  const holes = new Map<string, string>();
  for (const situation of map.situations) {
    const usable = odds.situations[situation.id]?.usable ?? false;
    const hole = usable
      ? missingIn(from.get(situation.id) ?? [])
      : situation.rest
        ? undefined
        : (from.get(situation.id) ?? []).some((r) => !r.doNot)
          ? "Everything taught here is closed for this pair."
          : "Nothing is taught from here.";
    if (hole) holes.set(situation.id, hole);
  }
  return holes;
}

function missingIn(reactions: Schemas["Reaction"][]): string | undefined {
  const open = reactions.flatMap((r) => r.responses).filter((r) => !r.leads);
  if (open.length === 1) return `No answer yet when ${theyDo(open[0]!.cue)}.`;
  if (open.length > 1) return `${open.length} of their answers have no answer yet.`;
  const silent = reactions.filter((r) => !r.doNot && r.responses.length === 0).length;
  return silent > 0 ? "A reaction without any response of theirs." : undefined;
}

/** A cue without the "They" that it usually begins with. */
export function withoutThey(cue: string): string {
  return cue.replace(/^they\s+/i, "").replace(/\.$/, "");
}

/** Words as a sentence begins with them. */
export function upperFirst(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}

/** A cue as it goes on in a sentence: "they post the hand", or "a hand goes to the mat" where it begins otherwise. */
export function theyDo(cue: string): string {
  return lowerFirst(cue.replace(/\.$/, ""));
}

export function lowerFirst(text: string): string {
  return text.charAt(0).toLowerCase() + text.slice(1);
}

/** What a finding is about, in words, and the situation in which it can be looked at. */
export function findingPlace(
  map: Schemas["Map"],
  finding: Schemas["Finding"],
): { title: string; situation?: string } {
  const { place, list } = finding;
  const title = titleIn(map, list, place);
  if (list === "reactions") {
    const cue = indexOf(map).response(place, finding.response)?.cue;
    return { title: cue ?? title, situation: indexOf(map).reaction(place)?.from };
  }
  if (list === "situations") return { title, situation: place };
  if (list === "techniques")
    return { title, situation: map.reactions.find((r) => r.technique === place)?.from };
  return { title };
}

/** Where a finding is looked at: the situation, down to the reaction, or the part in the workshop; `query` is that of the setting. */
export function findingPath(map: Schemas["Map"], finding: Schemas["Finding"], query: string): string {
  const { situation } = findingPlace(map, finding);
  if (!situation) return paths.edit(map.id, finding.list, finding.place, query);
  const anchor = finding.list === "reactions" ? `#${finding.place}` : "";
  return paths.situation(map.id, situation) + query + anchor;
}
