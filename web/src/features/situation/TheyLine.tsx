import { useState } from "react";
import { api, isLost, problemOf, unwrap, type Schemas } from "../../api/client";
import { freeId, retiredResponses } from "../../model/ids";
import { keepEdit } from "../../queue";
import { Refused } from "../../ui/Notice";
import { useMapChange } from "../map";
import { partOf, partsEdit, textOf, type Part } from "../workshop";
import { responseKey } from "./ResponseForm";

/**
 * An empty line at the end of an answer: what they do that nobody has answered yet is kept with a few words and Enter. Where
 * there is no network it waits on this device.
 */
export function TheyLine({
  map,
  reaction,
  title,
  more,
}: {
  map: Schemas["Map"];
  reaction: Schemas["Reaction"];
  title: string;
  /** Opens the whole form with the words so far. */
  more: () => void;
}) {
  const save = useMapChange(map.id);
  const [words, setWords] = useState("");
  /** On which revision the last words wait for a network; sent, the map has a later one. */
  const [waits, setWaits] = useState<number>();
  const keep = async (cue: string) => {
    const part = await partOf(map, "reactions", reaction.id);
    const responses = (part.responses as Part[] | undefined) ?? [];
    const id = freeId(cue, [...responses.map((r) => textOf(r, "id")), ...retiredResponses(map, reaction.id)]);
    const longer = { ...part, responses: [...responses, { id, cue, often: "sometimes" }] };
    keepEdit({
      mapId: map.id,
      edit: partsEdit(map.revision, `Added “${cue}”`, [{ list: "reactions", id: reaction.id, part: longer }]),
      draft: responseKey(map, reaction.id, `+${id}`),
      to: window.location.pathname + window.location.search,
    });
    save.reset();
    setWords("");
    setWaits(map.revision);
  };
  const file = () => {
    const said = words.trim();
    if (said === "") return;
    const cue = /^they\b/i.test(said) ? said : `They ${said}`;
    setWaits(undefined);
    save.mutate(
      () =>
        unwrap(
          api.POST("/api/maps/{mapId}/reactions/{reaction}/responses", {
            params: { path: { mapId: map.id, reaction: reaction.id } },
            body: {
              revision: map.revision,
              cue,
              often: { word: "sometimes" },
            },
          }),
        ),
      {
        onSuccess: () => setWords(""),
        // Where the reaction is not on this device, it is said that there is no network, and the words stay.
        onError: (error) => isLost(error) && void keep(cue).catch(() => undefined),
      },
    );
  };
  return (
    <form
      className="px-2"
      onSubmit={(event) => {
        event.preventDefault();
        file();
      }}
    >
      <div className="flex items-center gap-1.5">
        <span aria-hidden="true" className="text-quiet">
          they
        </span>
        <input
          className="h-11 min-w-0 grow border-b border-transparent bg-transparent hover:border-edge focus:border-ink focus:bg-lane lg:h-7"
          aria-label={`What else they do about ${title}`}
          placeholder="… what else do they do?"
          maxLength={390}
          enterKeyHint="done"
          disabled={save.isPending}
          value={words}
          onChange={(event) => setWords(event.target.value)}
        />
        <button
          type="button"
          className="word edit-word"
          aria-label={`Add what they do about ${title}, with its answer`}
          onClick={more}
        >
          with its answer
        </button>
      </div>
      {save.isError && <Refused problem={problemOf(save.error)} />}
      <p role="status" className="text-quiet">
        {save.isSuccess &&
          words === "" &&
          "Kept. Until somebody answers it, it counts as if you were stuffed."}
        {waits === map.revision &&
          words === "" &&
          "Kept on this device; it goes out when there is a network."}
      </p>
    </form>
  );
}
