import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useParams } from "react-router";
import { api, unwrap, type Schemas } from "../../api/client";

/** All maps, those put away too. */
export function useMaps() {
  return useQuery({ queryKey: ["maps"], queryFn: () => unwrap(api.GET("/api/maps")) });
}

/** The map in the address. */
export function useMap() {
  const { mapId } = useParams();
  return useMapById(mapId);
}

/** A map by its id. */
export function useMapById(mapId: string | undefined) {
  return useQuery({
    queryKey: ["map", mapId],
    enabled: mapId !== undefined,
    queryFn: () => unwrap(api.GET("/api/maps/{mapId}", { params: { path: { mapId: mapId! } } })),
  });
}

/** Sends a change of a map and takes the answer as the new map. */
export function useMapChange(mapId: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (change: () => Promise<Schemas["Map"]>) => change(),
    onSuccess: (map) => queries.setQueryData(["map", mapId], map),
  });
}

/** Takes the last change back, or brings back what was taken back last. */
export function useTurnBack(mapId: string) {
  const queries = useQueryClient();
  const map = useMapById(mapId);
  return useMutation({
    mutationFn: (way: "undo" | "redo") => {
      const params = { path: { mapId }, query: { revision: map.data!.revision } };
      return unwrap(
        way === "undo"
          ? api.POST("/api/maps/{mapId}/undo", { params })
          : api.POST("/api/maps/{mapId}/redo", { params }),
      );
    },
    onSuccess: (next) => queries.setQueryData(["map", mapId], next),
    onError: () => queries.invalidateQueries({ queryKey: ["map", mapId] }),
  });
}
