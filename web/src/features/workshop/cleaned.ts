import { isGroup, needsIn, partsIn, withParts, type Group } from "./needs";
import { freeId } from "../../model/ids";
import type { Part } from "./parts";

/**
 * A part ready to be sent: what was left empty is left out, and rows that need an id get one from what they say, which is
 * none of those retired. Rows in which nothing was written are dropped.
 */
export function cleaned(part: Part, retired: string[] = []): Part {
  return Object.fromEntries(
    Object.entries(part)
      .map(([name, value]) => [name, clean(name, value, retired)] as const)
      .filter(([, value]) => !isEmpty(value)),
  );
}

const NEEDS_ID = new Set(["responses", "stances", "arms"]);

function clean(name: string, value: unknown, retired: string[]): unknown {
  if (typeof value === "string") return value.trim();
  if (isGroup(value)) return cleanedNeeds(value);
  if (!Array.isArray(value) || !value.some((entry) => typeof entry === "object")) return value;
  const rows = (value as Part[])
    .map((row) => cleaned(row))
    .filter((row) => Object.keys(row).some((key) => key !== "id"));
  if (!NEEDS_ID.has(name)) return rows;
  const taken = [...retired, ...rows.flatMap((row) => (typeof row.id === "string" ? [row.id] : []))];
  return rows.map((row) => {
    if (row.id) return name === "responses" ? { often: "sometimes", ...row } : row;
    const id = freeId(words(row), taken);
    taken.push(id);
    return name === "responses" ? { often: "sometimes", ...row, id } : { ...row, id };
  });
}

/** The tree without needs in which nothing was written and without groups that became empty; each need has an id. */
function cleanedNeeds(root: Group): Group | undefined {
  const taken = needsIn(root).flatMap((need) => (typeof need.id === "string" ? [need.id] : []));
  const clear = (part: Part): Part[] => {
    if (isGroup(part)) {
      const parts = partsIn(part).flatMap(clear);
      return parts.length === 0 ? [] : [withParts(part, parts)];
    }
    const need = cleaned(part);
    if (need.title === undefined && need.denied === undefined) return [];
    if (typeof need.id === "string") return [need];
    const id = freeId(words(need), taken);
    taken.push(id);
    return [{ id, ...need }];
  };
  return clear(root)[0] as Group | undefined;
}

function words(row: Part): string {
  return typeof row.cue === "string" ? row.cue : typeof row.title === "string" ? row.title : "";
}

function isEmpty(value: unknown): boolean {
  if (value === undefined || value === null || value === "") return true;
  if (Array.isArray(value)) return value.length === 0;
  return typeof value === "object" && Object.keys(value).length === 0;
}
