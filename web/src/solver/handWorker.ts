import { moved } from "#hand";
import { answering } from "./answering";

/** After about so many answers the browser has compiled what is asked for at every step of a drag. */
const ENOUGH = 40;

/** Moves a hand for nobody some times. */
function warm(posture: object) {
  for (let done = 1; done < ENOUGH; done++) moved(posture, "they.hand-left", done / 1000, 0, 0.02);
  return moved(posture, "they.hand-left", 0, 0, 0);
}

answering({ calls: { moved, warm } });
