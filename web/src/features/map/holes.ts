import { group } from "d3-array";
import type { Schemas } from "../../api/client";
import type { Overview } from "../odds";
import { paths } from "./paths";
import { reactionTitle } from "./titles";
import { indexOf } from "../../model/mapIndex";

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
        : "Nothing is taught from here.";
    if (hole) holes.set(situation.id, hole);
  }
  return holes;
}

function missingIn(reactions: Schemas["Reaction"][]): string | undefined {
  const open = reactions.flatMap((r) => r.responses).filter((r) => !r.leads);
  if (open.length === 1) return `No answer yet when they ${lowerFirst(withoutThey(open[0]!.cue))}.`;
  if (open.length > 1) return `${open.length} of their answers have no answer yet.`;
  const silent = reactions.filter((r) => r.responses.length === 0).length;
  return silent > 0 ? "A reaction without any response of theirs." : undefined;
}

/** A cue without the "They" that it usually begins with. */
export function withoutThey(cue: string): string {
  return cue.replace(/^they\s+/i, "").replace(/\.$/, "");
}

export function lowerFirst(text: string): string {
  return text.charAt(0).toLowerCase() + text.slice(1);
}

/** What a finding is about, in words, and the situation in which it can be looked at. */
export function findingPlace(
  map: Schemas["Map"],
  finding: Schemas["Finding"],
): { title: string; situation?: string } {
  const reaction = indexOf(map).reaction(finding.place);
  if (reaction) {
    const cue = indexOf(map).response(reaction.id, finding.response)?.cue;
    const technique = reactionTitle(map, reaction.id);
    return { title: cue ?? technique, situation: reaction.from };
  }
  const situation = indexOf(map).situation(finding.place);
  if (situation) return { title: situation.title, situation: situation.id };
  const technique = indexOf(map).technique(finding.place);
  if (technique) {
    return {
      title: technique.title,
      situation: map.reactions.find((r) => r.technique === technique.id)?.from,
    };
  }
  return { title: indexOf(map).family(finding.place)?.title ?? finding.place };
}

/** Where a finding is looked at: the situation, down to the reaction, or the part in the workshop; `query` is that of the setting. */
export function findingPath(map: Schemas["Map"], finding: Schemas["Finding"], query: string): string {
  const { situation } = findingPlace(map, finding);
  if (!situation) {
    const list = map.families.some((f) => f.id === finding.place) ? "families" : "techniques";
    return paths.edit(map.id, list, finding.place, query);
  }
  const anchor = map.reactions.some((r) => r.id === finding.place) ? `#${finding.place}` : "";
  return paths.situation(map.id, situation) + query + anchor;
}
