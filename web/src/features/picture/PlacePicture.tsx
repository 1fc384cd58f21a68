import type { Schemas } from "../../api/client";
import { indexOf } from "../../model/mapIndex";
import { heldInWords, TwoBodies } from "../../ui/body/TwoBodies";
import { usePicture } from "./pictures";

/** The two bodies at a place, with what is held there; nothing where nobody has drawn it. */
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
  const picture = usePicture(map, place);
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
