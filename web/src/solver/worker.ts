import { held, load, odds, overview, preview } from "#solver";
import { answering } from "./answering";

/** After about so many answers the browser has compiled what is asked for at every step of a slider. */
const ENOUGH = 40;

/** On a large map there is no time for that many, in milliseconds. */
const LONGEST = 1_000;

/** Solves the map some times for nobody, one time after the other so that a question comes in between. */
function warm(done = 0, since = performance.now()): void {
  if (done === ENOUGH || performance.now() - since > LONGEST) return;
  try {
    overview({ read: done / ENOUGH, late: 0.5 });
  } catch {
    // What fails here is told to whoever asks it.
    return;
  }
  setTimeout(() => warm(done + 1, since));
}

answering({ load, calls: { overview, odds, preview, held }, onLoaded: () => setTimeout(() => warm()) });
