import { held, load, odds, overview, preview } from "#solver";
import { answering } from "./answering";

/** After about so many answers the browser has compiled what is asked for at every step of a slider. */
const ENOUGH = 40;

/** Solves the map some times for nobody, one time after the other so that a question comes in between. */
function warm(done = 0): void {
  if (done === ENOUGH) return;
  overview({ read: done / ENOUGH, late: 0.5 });
  setTimeout(() => warm(done + 1));
}

answering({ load, calls: { overview, odds, preview, held }, onLoaded: () => setTimeout(warm) });
