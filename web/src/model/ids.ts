import type { Schemas } from "../api/client";
import { namedAlike, partsOf, type PartList } from "./partKinds";

/** An id close to the words that none of those taken has; the server makes ids by the same rule. */
export function freeId(words: string, taken: Iterable<string>): string {
  const stem =
    words
      .normalize("NFD")
      .toLowerCase()
      .replace(/\p{M}/gu, "")
      .replace(/[^a-z0-9]+/g, "-")
      .replace(/^-+|-+$/g, "")
      .slice(0, 48)
      .replace(/-+$/, "") || "part";
  const used = new Set(taken);
  let candidate = stem;
  for (let n = 2; used.has(candidate); n++) candidate = `${stem}-${n}`;
  return candidate;
}

/** Ids that a new part of the list may not have: those in use, and those of what is gone, of which the record still speaks. */
export function takenIds(map: Schemas["Map"], list: PartList): string[] {
  return namedAlike(list).flatMap((like) => [...partsOf(map, like).map((p) => p.id), ...retired(map, like)]);
}

/** Ids of responses that a reaction once had; no new one may have them. */
export function retiredResponses(map: Schemas["Map"], reaction: string): string[] {
  return retired(map, `reactions/${reaction}`);
}

function retired(map: Schemas["Map"], within: string): string[] {
  const start = `${within}/`;
  return map.retired
    .filter((path) => path.startsWith(start))
    .map((path) => path.slice(start.length))
    .filter((id) => !id.includes("/"));
}
