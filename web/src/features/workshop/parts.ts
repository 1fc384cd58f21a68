import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { api, unwrap, type Schemas } from "../../api/client";
import { useSettled } from "../../ui/settled";
import { useSetting } from "../odds";

/** A part of a map as it stands in the open format. */
export type Part = Record<string, unknown>;

export interface PartInput {
  list: string;
  id: string;
  part: Part;
}

/** A field's text; empty where it is not one. */
export function textOf(part: Part, field: string): string {
  const value = part[field];
  return typeof value === "string" ? value.trim() : "";
}

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

/** Ids that a new part of the list may not have. */
export function takenIds(map: Schemas["Map"], list: string): string[] {
  const ids = (parts: { id: string }[]) => parts.map((p) => p.id);
  // Landings name situations and outcomes alike.
  if (list === "situations" || list === "outcomes") return [...ids(map.situations), ...ids(map.outcomes)];
  return ids(partsOf(map, list));
}

/** The parts of a list with what they are called. */
export function partsOf(map: Schemas["Map"], list: string): { id: string; title: string; detail?: string }[] {
  switch (list) {
    case "reactions": {
      const techniques = new Map(map.techniques.map((t) => [t.id, t.title]));
      const situations = new Map(map.situations.map((s) => [s.id, s.title]));
      return map.reactions.map((r) => ({
        id: r.id,
        title: techniques.get(r.technique) ?? r.technique,
        detail: `in ${situations.get(r.from) ?? r.from}`,
      }));
    }
    case "situations": {
      const families = new Map(map.families.map((f) => [f.id, f.title]));
      return map.situations.map((s) => ({ id: s.id, title: s.title, detail: families.get(s.family) }));
    }
    case "families":
      return map.families;
    case "facts":
      return map.facts;
    case "principles":
      return map.principles;
    case "movements":
      return map.movements;
    case "techniques":
      return map.techniques;
    case "outcomes":
      return map.outcomes;
    case "aims":
      return map.aims;
    case "matchups":
      return map.matchups;
    case "holds":
      return map.holds.map((h) => ({ id: h.id, title: h.title, detail: h.kind }));
    case "rules":
      return map.rules;
    default:
      return [];
  }
}

/** A part as it stands in the open format, to be edited. */
export function usePart(map: Schemas["Map"], list: string, id: string | undefined) {
  return useQuery({
    // What is being edited does not change under the hands when the map does; saving finds out.
    queryKey: ["part", map.id, list, id],
    enabled: id !== undefined,
    gcTime: 0,
    refetchOnWindowFocus: false,
    refetchOnReconnect: false,
    queryFn: async () =>
      (await unwrap(
        api.GET("/api/maps/{mapId}/parts/{list}/{part}", {
          params: { path: { mapId: map.id, list, part: id! } },
        }),
      )) as Part,
  });
}

/** Sends several parts as one change. */
export function putParts(mapId: string, revision: number, summary: string, parts: PartInput[]) {
  return unwrap(
    api.POST("/api/maps/{mapId}/parts", {
      params: { path: { mapId } },
      body: { revision, summary: summary.slice(0, 200), parts },
    }),
  );
}

export function removePart(mapId: string, revision: number, list: string, part: string, redirect?: string) {
  return unwrap(
    api.DELETE("/api/maps/{mapId}/parts/{list}/{part}", {
      params: { path: { mapId, list, part }, query: { revision, redirect } },
    }),
  );
}

/** What would hang if a part were taken out. */
export function useUses(map: Schemas["Map"], list: string, id: string, wanted: boolean) {
  return useQuery({
    queryKey: ["uses", map.id, map.revision, list, id],
    enabled: wanted,
    queryFn: () =>
      unwrap(
        api.GET("/api/maps/{mapId}/parts/{list}/{part}/uses", {
          params: { path: { mapId: map.id, list, part: id } },
        }),
      ),
  });
}

const AFTER_TYPING = 200;

/** The parts as text, a moment after the last change. */
export function useTyped(parts: PartInput[] | undefined): string | undefined {
  return useSettled(parts && JSON.stringify(parts), AFTER_TYPING);
}

/** The odds as they would be with the parts, a moment after the last change. */
export function usePreview(map: Schemas["Map"], parts: PartInput[] | undefined) {
  const [setting] = useSetting();
  const settled = useTyped(parts);
  return useQuery({
    queryKey: ["preview", map.id, map.revision, setting, settled],
    enabled: settled !== undefined,
    placeholderData: keepPreviousData,
    gcTime: 10_000,
    retry: false,
    queryFn: ({ signal }) =>
      unwrap(
        api.POST("/api/maps/{mapId}/odds/preview", {
          params: { path: { mapId: map.id }, query: setting },
          body: { parts: JSON.parse(settled!) as PartInput[] },
          signal,
        }),
      ),
  });
}
