import type { Schemas } from "../../api/client";
import type { PartList } from "../../model/partKinds";
import { indexOf } from "../../model/mapIndex";
import { heldInWords, TwoBodies } from "../../ui/body/TwoBodies";
import { placeTitle } from "../map";
import { pictureAt, pictureOf, usePictures } from "../picture";
import { textOf, type Part } from "./parts";

/** As many landings are drawn beside the place. */
const LANDINGS = 4;

/** How the bodies are in what is being typed; nothing where it has no picture. */
export function PartPicture({
  map,
  list,
  id,
  value,
}: {
  map: Schemas["Map"];
  list: PartList;
  id?: string;
  value: Part;
}) {
  const pictures = usePictures(map).data;
  const posture = textOf(value, "posture") || indexOf(map).family(textOf(value, "family"))?.posture;
  const own = pictureOf(pictures, posture ?? undefined);
  if (list === "situations" || list === "outcomes" || list === "families") {
    if (!own) {
      return posture ? <p className="text-quiet">It is drawn so once it is saved.</p> : null;
    }
    const held = (value.held as Record<string, string> | undefined) ?? {};
    return (
      <TwoBodies
        picture={own}
        held={held}
        says={[own.says, heldInWords(held)].filter(Boolean).join(" ")}
        width={300}
        className="mx-auto max-h-60 w-full"
      />
    );
  }
  const places = placesOf(map, list, id, value).filter((place) => pictureAt(pictures, place));
  if (places.length === 0) return null;
  return (
    <ul className="grid grid-cols-2 gap-x-3 gap-y-2">
      {places.map((place, at) => (
        <li key={place} className={at === 0 && list === "reactions" ? "col-span-2" : ""}>
          <TwoBodies
            picture={pictureAt(pictures, place)!}
            held={indexOf(map).situation(place)?.held ?? {}}
            says=""
            width={at === 0 ? 300 : 140}
            className={`mx-auto w-full ${at === 0 && list === "reactions" ? "max-h-44" : "max-h-24"}`}
          />
          <p className="text-quiet">{placeTitle(map, place)}</p>
        </li>
      ))}
    </ul>
  );
}

/** The places that a part has to do with: where it begins, then where it leads. */
function placesOf(map: Schemas["Map"], list: PartList, id: string | undefined, value: Part): string[] {
  if (list === "holds") return ((value.at as string[] | undefined) ?? []).slice(0, LANDINGS);
  if (list === "techniques") {
    const taught = map.reactions.filter((r) => r.technique === id).map((r) => r.from);
    return [...new Set(taught)].slice(0, LANDINGS);
  }
  if (list !== "reactions") return [];
  const leads = ((value.responses as Part[] | undefined) ?? []).map((r) => textOf(r, "leads"));
  const from = textOf(value, "from");
  return [from, ...new Set(leads.filter((place) => place !== "" && place !== from))].slice(0, LANDINGS + 1);
}
