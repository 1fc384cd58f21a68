import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { api, unwrap, type Schemas } from "../../api/client";

/** What their pins and finishes need, and the least that stops each. */
export function useHolds(map: Schemas["Map"]) {
  return useQuery({
    queryKey: ["holds", map.id, map.revision],
    queryFn: () => unwrap(api.GET("/api/maps/{mapId}/holds", { params: { path: { mapId: map.id } } })),
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
