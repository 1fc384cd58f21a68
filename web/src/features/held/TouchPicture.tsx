import type { Schemas } from "../../api/client";
import type { Segment } from "../../labels";
import { TwoBodies } from "../../ui/body/TwoBodies";
import { pictureAt, usePictures } from "../picture";
import type { Marks } from "./marks";

/**
 * Two bodies to press on what is held. Which place is shown depends on where they are and on nothing else, so that nothing
 * changes under the hand; the rows beside it do the same for whoever cannot press a limb.
 */
export function TouchPicture({
  map,
  marks,
  onPick,
}: {
  map: Schemas["Map"];
  marks: Marks;
  onPick: (segment: Segment) => void;
}) {
  const pictures = usePictures(map).data;
  const place = placeToTouch(map, marks.where, pictures?.places ?? {});
  const picture = pictureAt(pictures, place);
  if (!picture) return null;
  return (
    <TwoBodies
      picture={picture}
      held={Object.fromEntries(marks.held.map((segment) => [segment, ""]))}
      free={marks.free}
      says="Two bodies, to mark what is held"
      width={440}
      onPick={onPick}
      className="mx-auto max-h-80 w-full"
    />
  );
}

/** The drawn place where rounds start most of those where they are there; any drawn one where nobody says where they are. */
export function placeToTouch(
  map: Schemas["Map"],
  where: string,
  drawn: Record<string, string>,
): string | undefined {
  const at = (bearing: string) =>
    map.situations
      .filter((s) => s.where === bearing && drawn[s.id])
      .reduce<Schemas["Situation"] | undefined>(
        (best, s) => (best && best.entry >= s.entry ? best : s),
        undefined,
      );
  return (at(where) ?? at("across") ?? map.situations.find((s) => drawn[s.id]))?.id;
}
