import type { Schemas } from "../../api/client";
import { freeId, retiredResponses, takenIds } from "../../model/ids";
import type { Part, PartInput } from "../workshop";

/** The pin that was picked; without an id it is new on the map. */
export interface Pin {
  id?: string;
  title: string;
}

/** One thing that they do: one of the map's, or a new one in the coach's words. */
export interface Answer {
  response?: string;
  cue: string;
  often: string;
  leads?: string;
}

const QUESTIONS = 3;

/** Three questions: two about what the map says they do most, one open; all open where it says nothing. */
export function rowsOf(reaction: Schemas["Reaction"] | undefined): Answer[] {
  const known = (reaction?.responses ?? [])
    .slice(0, QUESTIONS - 1)
    .map((r) => ({ response: r.id, cue: r.cue, often: r.often.word ?? "sometimes" }));
  const open = Array.from({ length: QUESTIONS - known.length }, () => ({ cue: "", often: "sometimes" }));
  return [...known, ...open];
}

function asFile(likelihood: Schemas["Likelihood"]): string | number {
  return likelihood.word ?? likelihood.number ?? "sometimes";
}

function asCue(words: string): string {
  return /^they\b/i.test(words.trim()) ? words.trim() : `They ${words.trim()}`;
}

/** What the answers make of the map: a new place, technique and reaction where there are none, and the responses. */
export function partsToSend(
  map: Schemas["Map"],
  pin: Pin,
  reaction: Schemas["Reaction"] | undefined,
  doing: string,
  rows: Answer[],
): { situation: string; parts: PartInput[] } {
  const parts: PartInput[] = [];
  let situation = pin.id;
  if (!situation) {
    situation = freeId(pin.title, takenIds(map, "situations"));
    const family = map.families[0]?.id ?? "first";
    if (map.families.length === 0)
      parts.push({ list: "families", id: family, part: { title: "First pins" } });
    parts.push({
      list: "situations",
      id: situation,
      part: { title: pin.title, family, stage: "settled", entry: 1 },
    });
  }
  const responses: Part[] = (reaction?.responses ?? [])
    .map((r) => {
      const row = rows.find((x) => x.response === r.id);
      return { id: r.id, cue: r.cue, often: row?.often ?? asFile(r.often), leads: r.leads ?? undefined };
    })
    .filter((r) => r.often !== "never");
  const gone = reaction ? retiredResponses(map, reaction.id) : [];
  for (const row of rows) {
    if (row.response || row.cue.trim() === "" || row.often === "never") continue;
    const cue = asCue(row.cue);
    const taken = [...responses.map((r) => r.id as string), ...gone];
    responses.push({ id: freeId(cue, taken), cue, often: row.often, leads: row.leads });
  }
  if (reaction) {
    const { id, from, technique, when, needs, seconds, works, stuffed } = reaction;
    parts.push({
      list: "reactions",
      id,
      part: {
        from,
        technique,
        when: when || undefined,
        needs,
        seconds,
        works: asFile(works),
        stuffed: stuffed ?? undefined,
        responses,
      },
    });
  } else {
    const technique = freeId(doing, takenIds(map, "techniques"));
    parts.push({ list: "techniques", id: technique, part: { title: doing } });
    const id = freeId(`${situation}-${technique}`, takenIds(map, "reactions"));
    parts.push({
      list: "reactions",
      id,
      part: { from: situation, technique, seconds: 2, works: "sometimes", responses },
    });
  }
  return { situation, parts };
}
