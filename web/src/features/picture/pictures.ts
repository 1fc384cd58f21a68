import { useQuery } from "@tanstack/react-query";
import { api, unwrap, type Schemas } from "../../api/client";

/** How the two bodies are at each place of a map; all come at once, so that none has to be waited for. */
export function usePictures(map: Schemas["Map"] | undefined) {
  return useQuery({
    queryKey: ["pictures", map?.id, map?.revision],
    enabled: map !== undefined,
    placeholderData: (earlier: Schemas["Pictures"] | undefined) => earlier,
    queryFn: () => unwrap(api.GET("/api/maps/{mapId}/pictures", { params: { path: { mapId: map!.id } } })),
  });
}

/** The picture of a place; undefined while it is on its way, and where nobody has drawn it. */
export function usePicture(map: Schemas["Map"], place: string): Schemas["Picture"] | undefined {
  const pictures = usePictures(map).data;
  const posture = pictures?.places[place];
  return posture === undefined ? undefined : pictures?.pictures[posture];
}
