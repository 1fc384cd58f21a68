import type { Schemas } from "../../api/client";
import { indexOf } from "../../model/mapIndex";
import { heldInWords, TwoBodies } from "../../ui/body/TwoBodies";
import { pictureAt, usePictures } from "./pictures";

/**
 * The two bodies at a place, with what is held there; nothing where nobody has drawn it. While the pictures are on their
 * way their room is kept, so that what stands below does not move under a finger.
 */
export function PlacePicture({
  map,
  place,
  width,
  className,
  silent = false,
}: {
  map: Schemas["Map"];
  place: string;
  /** About how wide it is shown, in pixels. */
  width: number;
  className?: string;
  /** Words that say the same stand beside it. */
  silent?: boolean;
}) {
  const pictures = usePictures(map);
  if (pictures.isLoading) return <svg viewBox="0 0 16 9" aria-hidden="true" className={className} />;
  const picture = pictureAt(pictures.data, place);
  if (!picture) return null;
  const held = indexOf(map).situation(place)?.held ?? {};
  return (
    <TwoBodies
      picture={picture}
      held={held}
      says={silent ? "" : [picture.says, heldInWords(held)].filter(Boolean).join(" ")}
      width={width}
      className={className}
    />
  );
}
