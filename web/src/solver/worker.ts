import { held, load, odds, overview, preview, type Answer } from "#solver";
import type { Asked, Said } from "./messages";

/** A map as the server hands it over for this worker. */
interface Carried {
  revision: number;
  map: unknown;
}

const CALLS = { overview, odds, preview, held } as Record<string, (...with_: never[]) => Answer>;

async function bring(mapId: string): Promise<Said["value"]> {
  const response = await fetch(`/api/maps/${mapId}/carried`);
  if (!response.ok) throw new Error(`No map was handed over: ${response.status}`);
  const carried = (await response.json()) as Carried;
  const answer = load(carried.map);
  if ("problems" in answer) throw new Error(answer.problems[0]?.message);
  setTimeout(warm);
  return { revision: carried.revision };
}

/** After about so many answers the browser has compiled what is asked for at every step of a slider. */
const ENOUGH = 40;

/** Solves the map some times for nobody, one time after the other so that a question comes in between. */
function warm(done = 0): void {
  if (done === ENOUGH) return;
  overview({ read: done / ENOUGH, late: 0.5 });
  setTimeout(() => warm(done + 1));
}

self.addEventListener("message", ({ data }: MessageEvent<Asked>) => {
  const say = (said: Omit<Said, "number">) => self.postMessage({ number: data.number, ...said });
  if (data.call === "bring")
    bring(data.mapId).then(
      (value) => say({ value }),
      (error: unknown) => say({ failed: String(error) }),
    );
  else
    try {
      const answer = CALLS[data.call]!(...(data.with as never[]));
      say("value" in answer ? { value: answer.value } : { problems: answer.problems });
    } catch (error) {
      say({ failed: String(error) });
    }
});
