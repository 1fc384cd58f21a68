import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useParams } from "react-router";
import { api, unwrap, type Schemas } from "../../api/client";

export function useFirstMap() {
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

/** A change of the map, given the map's id and the revision on screen. */
export type Edit = (mapId: string, revision: number) => Promise<Schemas["Map"]>;

/** Sends a change and takes the answer as the new map. The revision on screen when the form was opened goes along. */
export function useEdit() {
  const queries = useQueryClient();
  const { mapId } = useParams();
  return useMutation({
    mutationFn: ({ edit, revision }: { edit: Edit; revision: number }) => edit(mapId!, revision),
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
