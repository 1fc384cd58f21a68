import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { askAgain } from "../../api/askAgain";
import { api, problemOf, unwrap, type Schemas } from "../../api/client";
import { hasDraft } from "../../ui/draft";
import { Refused } from "../../ui/Notice";
import { Picker } from "../../ui/Picker";
import { useMapChange } from "../map";
import { partsOf } from "../../model/partKinds";

/** Puts what they do under another reaction, here or elsewhere on the map. */
export function MoveResponse({
  map,
  reaction,
  response,
  draftKey,
  onDone,
}: {
  map: Schemas["Map"];
  reaction: string;
  response: string;
  /** Where changes of the response wait that are not saved yet. */
  draftKey: string;
  onDone: () => void;
}) {
  const save = useMapChange(map.id);
  const queries = useQueryClient();
  const [unsaved, setUnsaved] = useState(false);
  const move = (to: string) => {
    setUnsaved(hasDraft(draftKey));
    if (hasDraft(draftKey)) return;
    save.mutate(
      () =>
        unwrap(
          api.PUT("/api/maps/{mapId}/reactions/{reaction}/responses/{response}/reaction", {
            params: { path: { mapId: map.id, reaction, response } },
            body: { revision: map.revision, reaction: to },
          }),
        ),
      {
        onSuccess: onDone,
        // Somebody else was there meanwhile: the next try goes by what they left.
        onError: () => void askAgain(queries, { queryKey: ["map", map.id] }),
      },
    );
  };
  return (
    <div className="mb-3 flex flex-wrap items-center gap-x-3 gap-y-1">
      <span className="text-quiet">Move it to another reaction</span>
      <div className="min-w-0 grow sm:max-w-96">
        <Picker
          label="Move it to another reaction"
          value=""
          choices={partsOf(map, "reactions").filter((r) => r.id !== reaction)}
          onChange={move}
        />
      </div>
      {unsaved && (
        <p role="alert" className="basis-full text-rust">
          Save or cancel what you changed first; then move it.
        </p>
      )}
      {save.isError && <Refused problem={problemOf(save.error)} />}
    </div>
  );
}
