import type { Schemas } from "../../api/client";
import { pictureAt, PlacePicture, usePictures } from "../picture";
import type { Plan } from "./design";

/** More than so many pictures do not stand in one row of a sheet. */
const MOST = 4;

/** Where the calls start, in pictures, with the words under them; only drawn places, nothing where none is. */
export function Starts({ map, plan }: { map: Schemas["Map"]; plan: Plan }) {
  const pictures = usePictures(map).data;
  const words = new Map<string, string[]>();
  for (const link of plan.links) {
    if (link.part !== "finish") words.set(link.start, [...(words.get(link.start) ?? []), link.word]);
  }
  const drawn = [...words].filter(([place]) => pictureAt(pictures, place)).slice(0, MOST);
  if (drawn.length === 0) return null;
  return (
    <ul className="flex shrink-0 gap-x-3" aria-label="Where the calls start">
      {drawn.map(([place, called]) => (
        <li key={place} className="w-[76px] break-inside-avoid">
          <PlacePicture map={map} place={place} width={90} silent className="h-[42px] w-full" />
          <p className="text-center text-[13.5px] leading-tight font-semibold" style={{ fontStretch: "72%" }}>
            {called.join(", ")}
          </p>
        </li>
      ))}
    </ul>
  );
}
