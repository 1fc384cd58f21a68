import { isPartList, PART_KINDS, type PartList } from "../../model/partKinds";
import { upperFirst } from "../map";
import { fieldsInWords } from "../workshop";

type Node = Record<string, unknown>;

/** The names on the way to a place in a file, RFC 6901; nothing for a place that is told otherwise. */
function steps(place: string): string[] | undefined {
  if (!place.startsWith("/")) return undefined;
  return place
    .slice(1)
    .split("/")
    .map((step) => step.replace(/~1/g, "/").replace(/~0/g, "~"));
}

/** A file's content where it is one that can be looked into. */
export function contentOf(text: string | undefined): unknown {
  try {
    return text === undefined ? undefined : JSON.parse(text);
  } catch {
    return undefined;
  }
}

function child(node: unknown, step: string): unknown {
  return typeof node === "object" && node !== null ? (node as Node)[step] : undefined;
}

function titleOf(content: unknown, list: PartList, id: unknown): string | undefined {
  const parts = child(content, list);
  const part = Array.isArray(parts) ? (parts as unknown[]).find((p) => child(p, "id") === id) : undefined;
  const title = child(part, "title");
  return typeof title === "string" ? title : undefined;
}

/** What a part of the file is called; a reaction by what is done and where. */
function nameOf(content: unknown, list: PartList, at: string): string {
  const part = child(child(content, list), at);
  const title = child(part, "title");
  if (typeof title === "string" && title.trim() !== "") return `“${title.trim()}”`;
  const done = titleOf(content, "techniques", child(part, "technique"));
  const from = titleOf(content, "situations", child(part, "from"));
  if (done) return `“${done}”${from ? ` in “${from}”` : ""}`;
  return `number ${Number(at) + 1}`;
}

/**
 * Where a fault stands, as a coach would say it: 'Situation “Low, arms round your head”, Lateness'. `content` is the file
 * where it can be looked into; without it parts go by their number.
 */
export function whereInWords(place: string, content: unknown): string {
  if (place === "") return "The file";
  // A table's columns are called by what stands over them there.
  const row = /^line (\d+)(?:, ([\w-]+))?$/.exec(place);
  if (row) return row[2] ? `Line ${row[1]}, column ${row[2]}` : `Line ${row[1]}`;
  const [, file = "", pointer = place] = /^([^/#\s]+\.json)[# ](.*)$/.exec(place) ?? [];
  const [list = "", at, ...rest] = steps(pointer) ?? [];
  const words =
    isPartList(list) && at !== undefined && /^\d+$/.test(at)
      ? [
          `${upperFirst(PART_KINDS[list].one)} ${nameOf(file ? undefined : content, list, at)}`,
          fieldsInWords(list, rest),
        ]
      : [TOP[list] ?? (file ? "" : "The file")];
  return upperFirst([...words, file && `in ${file}`].filter(Boolean).join(", "));
}

/** What stands in a file beside its lists. */
const TOP: Record<string, string> = {
  title: "The map’s name",
  about: "What the map says of itself",
  house: "What the house takes for granted",
};
