import type { Answer } from "#solver";
import type { Asked, Said } from "./messages";

/** A map as the server hands it over for the workers. */
interface Carried {
  revision: number;
  map: unknown;
}

/** A compiled program as a worker holds it: how it takes a map, where it is about one, and what can be asked. */
export interface Program {
  load?: (map: unknown) => Answer;
  calls: Record<string, (...given: never[]) => Answer>;
  /** Hears that a map has come. */
  onLoaded?: () => void;
}

/** Answers what the page asks of this worker. */
export function answering({ load, calls, onLoaded }: Program): void {
  let last = 0;
  const bring = async (number: number, mapId: string): Promise<Said["value"]> => {
    last = number;
    const response = await fetch(`/api/maps/${mapId}/carried`);
    if (!response.ok) throw new Error(`No map was handed over: ${response.status}`);
    const carried = (await response.json()) as Carried;
    // One that was asked for earlier and comes later may not take the place of what the page believes to be here.
    if (number !== last) throw new Error("Another map was asked for meanwhile.");
    if (!load) throw new Error("This is about no map.");
    const answer = load(carried.map);
    if ("problems" in answer) throw new Error(answer.problems[0]?.message);
    onLoaded?.();
    return { revision: carried.revision };
  };
  self.addEventListener("message", ({ data }: MessageEvent<Asked>) => {
    const say = (said: Omit<Said, "number">) => self.postMessage({ number: data.number, ...said });
    if ("mapId" in data)
      bring(data.number, data.mapId).then(
        (value) => say({ value }),
        (error: unknown) => say({ failed: String(error) }),
      );
    else
      try {
        const answer = calls[data.call]!(...(data.with as never[]));
        say("value" in answer ? { value: answer.value } : { problems: answer.problems });
      } catch (error) {
        say({ failed: String(error) });
      }
  });
}
