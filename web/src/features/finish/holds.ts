import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { api, unwrap, type Schemas } from "../../api/client";
import { useWrittenSetting } from "../odds";

export type Ladder = Schemas["Ladder"];
export type Rung = Schemas["LadderRung"];
export type Answer = Schemas["LadderAnswer"];
export type Step = Schemas["LadderStep"];

/** What their pins and finishes need, and the least that stops each. */
export function useHolds(map: Schemas["Map"]) {
  return useQuery({
    queryKey: ["holds", map.id, map.revision],
    queryFn: () => unwrap(api.GET("/api/maps/{mapId}/holds", { params: { path: { mapId: map.id } } })),
  });
}

/** How likely each of them closes under the setting. */
export function useLadders(map: Schemas["Map"] | undefined) {
  const setting = useWrittenSetting();
  return useQuery({
    queryKey: ["ladders", map?.id, map?.revision, setting],
    enabled: map !== undefined,
    placeholderData: keepPreviousData,
    queryFn: () =>
      unwrap(
        api.GET("/api/maps/{mapId}/holds/ladders", {
          params: { path: { mapId: map!.id }, query: setting },
        }),
      ),
  });
}

/** One of them as a ladder under the setting. */
export function useLadder(map: Schemas["Map"], hold: string) {
  const setting = useWrittenSetting();
  return useQuery({
    queryKey: ["ladder", map.id, map.revision, hold, setting],
    placeholderData: (before, query) => (query?.queryKey[3] === hold ? before : undefined),
    queryFn: () =>
      unwrap(
        api.GET("/api/maps/{mapId}/holds/{hold}/ladder", {
          params: { path: { mapId: map.id, hold }, query: setting },
        }),
      ),
  });
}

/** The same for holds as they would be; `parts` as text, so that it is asked anew only when something changed. */
export function useHoldPreview(map: Schemas["Map"], parts: string | undefined) {
  return useQuery({
    queryKey: ["hold-preview", map.id, map.revision, parts],
    enabled: parts !== undefined,
    placeholderData: keepPreviousData,
    gcTime: 10_000,
    retry: false,
    queryFn: ({ signal }) =>
      unwrap(
        api.POST("/api/maps/{mapId}/holds/preview", {
          params: { path: { mapId: map.id } },
          body: { parts: JSON.parse(parts!) as Schemas["PartInput"][] },
          signal,
        }),
      ),
  });
}
