import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useParams } from "react-router";
import { askAgain } from "../../api/askAgain";
import { tellChange } from "./changes";
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

/** Takes what the server answered to a change as the map; one asked for before the change is dropped if still on its way. */
export function useTaken(mapId: string) {
  const queries = useQueryClient();
  return async (map: Schemas["Map"]) => {
    await queries.cancelQueries({ queryKey: ["map", mapId] });
    queries.setQueryData(["map", mapId], map);
    tellChange(mapId);
  };
}

/** Sends a change of a map and takes the answer as the new map. */
export function useMapChange(mapId: string) {
  return useMutation({
    mutationFn: (change: () => Promise<Schemas["Map"]>) => change(),
    onSuccess: useTaken(mapId),
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
    onSuccess: useTaken(mapId),
    onError: () => askAgain(queries, { queryKey: ["map", mapId] }),
  });
}
