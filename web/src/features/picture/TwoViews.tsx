import { useState } from "react";
import type { Schemas } from "../../api/client";
import { indexOf } from "../../model/mapIndex";
import { TwoBodies } from "../../ui/body/TwoBodies";
import { PlacePicture } from "./PlacePicture";
import { useAbove, usePicture, usePictures } from "./pictures";

/** The picture of a place, with the view from above as an inset where somebody asks for it. */
export function TwoViews({
  map,
  place,
  low = false,
}: {
  map: Schemas["Map"];
  place: string;
  /** There is little height for it. */
  low?: boolean;
}) {
  const [above, setAbove] = useState(false);
  const seen = useAbove(map, place, above);
  const picture = usePicture(map, place);
  const onItsWay = usePictures(map).isPending;
  if (!picture && !onItsWay) return null;
  return (
    <div>
      {/* As high as it will be, so that nothing below it moves once it is there. */}
      <div className={low ? "h-[190px]" : "h-[270px] wide:h-[340px]"}>
        <PlacePicture map={map} place={place} width={340} className="size-full" />
      </div>
      <div className="flex items-start justify-between gap-3 max-mid:-mt-8">
        {above && seen.data && picture && (
          <TwoBodies
            picture={{ ...picture, ...seen.data, drawing: "", swapped: false }}
            held={indexOf(map).situation(place)?.held ?? {}}
            says="The same from straight above"
            width={180}
            className="max-h-40 w-[180px] border border-rule"
          />
        )}
        <button
          type="button"
          className="word ml-auto"
          disabled={!picture}
          aria-pressed={above}
          onClick={() => setAbove(!above)}
        >
          {above ? "not from above" : "from above"}
        </button>
      </div>
    </div>
  );
}
