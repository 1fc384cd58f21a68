import type { Part } from "./parts";

/** All of the parts are needed, or any one of them is enough. A part is a group again or a single need. */
export type Group = { all: Part[] } | { any: Part[] };

export function isGroup(value: unknown): value is Group {
  return typeof value === "object" && value !== null && ("all" in value || "any" in value);
}

/** The parts of a group. */
export function partsIn(group: Group): Part[] {
  return "any" in group ? group.any : group.all;
}

/** The group with other parts. */
export function withParts(group: Group, parts: Part[]): Group {
  return "any" in group ? { any: parts } : { all: parts };
}

/** The needs as they are edited: one that stands alone is a group of one. */
export function rooted(value: unknown): Group {
  if (isGroup(value)) return value;
  return { all: value === undefined ? [] : [value as Part] };
}

/** Single needs of a group and of the groups within it. */
export function needsIn(group: Group): Part[] {
  return partsIn(group).flatMap((part) => (isGroup(part) ? needsIn(part) : [part]));
}
