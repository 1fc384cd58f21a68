import { USE_LABEL } from "../../labels";
import { useState } from "react";
import { problemOf, type Schemas } from "../../api/client";
import { Refused } from "../../ui/Notice";
import { Picker } from "../../ui/Picker";
import { useMapChange } from "../map";
import { namedAlike, PART_KINDS, partsOf, titleIn, type PartList } from "../../model/partKinds";
import { removePart, useUses } from "./parts";

/** Says what would be left hanging, and offers to point it elsewhere. */
export function Removal({
  map,
  list,
  id,
  keep,
  onDone,
}: {
  map: Schemas["Map"];
  list: PartList;
  id: string;
  keep: () => void;
  onDone: () => void;
}) {
  const uses = useUses(map, list, id, true);
  const save = useMapChange(map.id);
  const [redirect, setRedirect] = useState("");
  const choices = namedAlike(list)
    .flatMap((l) => partsOf(map, l))
    .filter((p) => p.id !== id);
  const { one } = PART_KINDS[list];
  if (!uses.data) return <p className="text-quiet">Looking for what hangs on it …</p>;
  return (
    <div role="group" aria-label={`Take this ${one} out`} className="space-y-2 border-t-2 border-rust pt-2">
      {uses.data.length === 0 ? (
        <p>Nothing else on the map refers to it.</p>
      ) : (
        <>
          <p className="font-semibold">
            {uses.data.length} {uses.data.length === 1 ? "thing refers" : "things refer"} to it:
          </p>
          <ul className="max-h-48 overflow-y-auto" tabIndex={0} aria-label="What refers to it">
            {uses.data.map((use) => (
              <li key={`${use.list} ${use.id} ${use.field}`}>
                {titleIn(map, use.list, use.id)}{" "}
                <span className="text-quiet">{USE_LABEL[use.field] ?? use.field}</span>
              </li>
            ))}
          </ul>
          <div className="@lg:max-w-96">
            <span className="text-quiet">Point them instead to</span>
            <Picker
              label="Point them instead to"
              value={redirect}
              choices={choices}
              none="nothing: landings stay unanswered"
              onChange={setRedirect}
            />
          </div>
        </>
      )}
      {save.isError && <Refused problem={problemOf(save.error)} />}
      <div className="flex flex-wrap gap-5">
        <button
          type="button"
          className="plate"
          disabled={save.isPending}
          onClick={() =>
            save.mutate(() => removePart(map.id, map.revision, list, id, redirect || undefined), {
              onSuccess: onDone,
            })
          }
        >
          {redirect ? "Take it out and point them there" : "Take it out"}
        </button>
        <button type="button" className="word" onClick={keep}>
          Keep it
        </button>
      </div>
    </div>
  );
}
