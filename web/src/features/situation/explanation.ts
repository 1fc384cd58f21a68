import type { Schemas } from "../../api/client";
import { hundred, seconds } from "../../labels";
import { lowerFirst, placeTitle, theyDo } from "../map";
import { indexOf } from "../../model/mapIndex";

/** "22 are lost because they smash the knee back down." Empty when nothing much is. */
export function biggestLoss(map: Schemas["Map"], explanation: Schemas["Explanation"]): string {
  const worst = Math.max(...explanation.parts.map((part) => part.lost), 0);
  return hundred(worst) < 2 ? "" : (losses(map, explanation)[0] ?? "");
}

/** Every loss of at least one in a hundred, the largest first, in words. */
export function losses(map: Schemas["Map"], explanation: Schemas["Explanation"]): string[] {
  return [...explanation.parts]
    .sort((a, b) => b.lost - a.lost)
    .filter((part) => hundred(part.lost) >= 1)
    .map((part) => `${hundred(part.lost)} are lost because ${reason(map, explanation, part)}.`);
}

function reason(
  map: Schemas["Map"],
  explanation: Schemas["Explanation"],
  part: Schemas["ExplanationPart"],
): string {
  const reaction = indexOf(map).reaction(explanation.reaction);
  switch (part.cause) {
    case "too-slow": {
      const clock = indexOf(map).situation(explanation.situation)?.clock;
      return clock ? `they move on after ${seconds(clock.seconds)}` : "the moment passes";
    }
    case "stuffed":
      return part.lands === explanation.situation
        ? "it does not get going"
        : `it is stuffed and you land in ${lowerFirst(placeTitle(map, part.lands))}`;
    case "response": {
      const response = indexOf(map).response(reaction?.id, part.response);
      const cue = response ? theyDo(response.cue) : "they answer";
      return `${cue}${response?.leads ? "" : ", which nobody has answered"}`;
    }
  }
}
