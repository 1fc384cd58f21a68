import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { api, isLost, unwrap, type Schemas } from "../../api/client";
import type { PartList } from "../../model/partKinds";
import { useSettled } from "../../ui/settled";
import { solverHere, useSetting } from "../odds";

/** A part of a map as it stands in the open format. */
export type Part = Record<string, unknown>;

export interface PartInput {
  list: PartList;
  id: string;
  part: Part;
}

/** A field's text; empty where it is not one. */
export function textOf(part: Part, field: string): string {
  const value = part[field];
  return typeof value === "string" ? value.trim() : "";
}

/** The parts of a map that this device has kept for its solver, which leaves out what no odds hang on. */
type Carried = Partial<Record<PartList, Part[]>>;

/** What the solver's map leaves out of a part, as the map on screen has it. */
function postureOf(map: Schemas["Map"], list: PartList, id: string): Part {
  if (list !== "families" && list !== "situations" && list !== "outcomes") return {};
  const posture = map[list].find((one) => one.id === id)?.posture;
  return posture ? { posture } : {};
}

/** A part as this device has kept it; nothing where it kept another revision than is on screen, or none. */
async function keptPart(map: Schemas["Map"], list: PartList, id: string): Promise<Part | undefined> {
  const kept = await unwrap(api.GET("/api/maps/{mapId}/carried", { params: { path: { mapId: map.id } } }));
  if (kept.revision !== map.revision) return undefined;
  const part = (kept.map as unknown as Carried)[list]?.find((one) => one.id === id);
  return part && { ...part, ...postureOf(map, list, id) };
}

/** A part as it stands in the open format, from the server or, where that is away, from this device. */
export async function partOf(map: Schemas["Map"], list: PartList, id: string): Promise<Part> {
  try {
    const part = await unwrap(
      api.GET("/api/maps/{mapId}/parts/{list}/{part}", {
        params: { path: { mapId: map.id, list, part: id } },
      }),
    );
    return part;
  } catch (error) {
    if (!isLost(error)) throw error;
    const kept = await keptPart(map, list, id).catch(() => undefined);
    if (!kept) throw error;
    return kept;
  }
}

/** A part as it stands in the open format, to be edited. */
export function usePart(map: Schemas["Map"], list: PartList, id: string | undefined, seen?: number) {
  return useQuery({
    // What is being edited does not change under the hands when the map does; saving finds out. Whoever wants it to follow
    // says which revision it is of.
    queryKey: ["part", map.id, list, id, seen],
    enabled: id !== undefined,
    gcTime: 0,
    refetchOnWindowFocus: false,
    refetchOnReconnect: false,
    queryFn: () => partOf(map, list, id!),
  });
}

/** Several parts as one change. */
export function partsEdit(revision: number, summary: string, parts: PartInput[]): Schemas["PartsEdit"] {
  return { revision, summary: summary.slice(0, 200), parts };
}

/** Sends several parts as one change. */
export function putParts(mapId: string, revision: number, summary: string, parts: PartInput[]) {
  return unwrap(
    api.POST("/api/maps/{mapId}/parts", {
      params: { path: { mapId } },
      body: partsEdit(revision, summary, parts),
    }),
  );
}

export function removePart(mapId: string, revision: number, list: PartList, part: string, redirect?: string) {
  return unwrap(
    api.DELETE("/api/maps/{mapId}/parts/{list}/{part}", {
      params: { path: { mapId, list, part }, query: { revision, redirect } },
    }),
  );
}

/** What would hang if a part were taken out. */
export function useUses(map: Schemas["Map"], list: PartList, id: string, wanted: boolean) {
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
    queryFn: ({ signal }) => {
      const typed = JSON.parse(settled!) as PartInput[];
      const there = () =>
        unwrap(
          api.POST("/api/maps/{mapId}/odds/preview", {
            params: { path: { mapId: map.id }, query: setting },
            body: { parts: typed },
            signal,
          }),
        );
      const solver = typed.every(({ list }) => isSolved(list)) ? solverHere(map, setting) : undefined;
      // What cannot be solved as it stands is the server's to say.
      return solver ? solver.preview(typed.map(asSolved), setting).catch(there) : there();
    },
  });
}

/** No odds hang on holds and postures, and no browser is handed any. */
const isSolved = (list: PartList): boolean => list !== "holds" && list !== "postures";

/** A part as it stands on the map that this browser solves. */
function asSolved({ list, id, part }: PartInput): PartInput {
  const solved: Part = { ...part, id };
  delete solved.posture;
  return { list, id, part: solved };
}
