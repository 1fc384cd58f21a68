import { useQuery } from "@tanstack/react-query";
import { api, unwrap, type Schemas } from "../../api/client";
import type { DrawnPicture } from "../../ui/body/parts";

/** Under what the pictures of a map are kept. */
export function picturesKey(map: Schemas["Map"] | undefined) {
  return ["pictures", map?.id, map?.revision] as const;
}

/** How the two bodies are at each place of a map; all come at once, so that none has to be waited for. */
export function usePictures(map: Schemas["Map"] | undefined) {
  return useQuery({
    queryKey: picturesKey(map),
    enabled: map !== undefined,
    // Those of the last revision of the same map; another map has other places under the same names.
    placeholderData: (earlier: Schemas["Pictures"] | undefined, query) =>
      query?.queryKey[1] === map?.id ? earlier : undefined,
    queryFn: () => unwrap(api.GET("/api/maps/{mapId}/pictures", { params: { path: { mapId: map!.id } } })),
  });
}

/** How the two bodies get from one place to another, in pictures, where both are drawn. */
export function useWay(map: Schemas["Map"], from: string, to: string, drawn: boolean) {
  return useQuery({
    queryKey: ["picture-way", map.id, map.revision, from, to],
    enabled: drawn,
    retry: false,
    queryFn: ({ signal }) =>
      unwrap(
        api.GET("/api/maps/{mapId}/pictures/way", {
          params: { path: { mapId: map.id }, query: { from, to } },
          signal,
        }),
      ),
  });
}

/** A place seen from straight above, once somebody asks for it. */
export function useAbove(map: Schemas["Map"], place: string, asked: boolean) {
  return useQuery({
    queryKey: ["picture-above", map.id, map.revision, place],
    enabled: asked,
    queryFn: ({ signal }) =>
      unwrap(
        api.GET("/api/maps/{mapId}/pictures/above", {
          params: { path: { mapId: map.id }, query: { place } },
          signal,
        }),
      ),
  });
}

/** The picture of a place; undefined while it is on its way, and where nobody has drawn it. */
export function usePicture(map: Schemas["Map"], place: string): DrawnPicture | undefined {
  return pictureAt(usePictures(map).data, place);
}

/** The same of pictures that are there. */
export function pictureAt(
  pictures: Schemas["Pictures"] | undefined,
  place: string | undefined,
): DrawnPicture | undefined {
  return pictureOf(pictures, pictures?.places[place ?? ""]);
}

/** The picture of a posture among them; undefined for one that stands at no place. */
export function pictureOf(
  pictures: Schemas["Pictures"] | undefined,
  posture: string | undefined,
): DrawnPicture | undefined {
  const picture = pictures?.pictures[posture ?? ""];
  const drawing = picture && pictures?.drawings[picture.drawing];
  if (!picture || !drawing) return undefined;
  const pieces = picture.swapped ? drawing.pieces.map(exchanged) : drawing.pieces;
  return { ...picture, ...drawing, pieces };
}

function exchanged(piece: Schemas["PicturePiece"]): Schemas["PicturePiece"] {
  return { ...piece, who: piece.who === "you" ? "they" : "you" };
}
