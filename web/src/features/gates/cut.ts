import { useMutation, useQuery } from "@tanstack/react-query";
import { api, unwrap } from "../../api/client";
import { isOver } from "../../api/run";
import type { Setting } from "../odds";

const LOOK_EVERY = 400;

/** Looks for the smallest set of reactions whose loss drops the starts below a threshold; it may take a while. */
export function useCut(mapId: string, setting: Setting) {
  const start = useMutation({
    mutationFn: (threshold: number) =>
      unwrap(
        api.POST("/api/maps/{mapId}/runs", {
          params: { path: { mapId } },
          body: { kind: "cut", question: { ...setting }, threshold },
        }),
      ),
  });
  const id = start.data?.id;
  const run = useQuery({
    queryKey: ["run", mapId, id],
    enabled: start.data !== undefined && !isOver(start.data),
    queryFn: () => unwrap(api.GET("/api/maps/{mapId}/runs/{run}", { params: { path: { mapId, run: id! } } })),
    refetchInterval: (query) => (query.state.data && isOver(query.state.data) ? false : LOOK_EVERY),
  });
  const stop = useMutation({
    mutationFn: () =>
      unwrap(api.DELETE("/api/maps/{mapId}/runs/{run}", { params: { path: { mapId, run: id! } } })),
  });
  return { start, run: run.data ?? start.data, error: start.error ?? run.error, stop };
}
