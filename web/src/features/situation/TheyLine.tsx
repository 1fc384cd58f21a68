import { useState } from "react";
import { api, problemOf, unwrap, type Schemas } from "../../api/client";
import { Refused } from "../../ui/Notice";
import { useMapChange } from "../map";

/** An empty line at the end of an answer: what they do that nobody has answered yet is kept with a few words and Enter. */
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
  const file = () => {
    const cue = words.trim();
    if (cue === "") return;
    save.mutate(
      () =>
        unwrap(
          api.POST("/api/maps/{mapId}/reactions/{reaction}/responses", {
            params: { path: { mapId: map.id, reaction: reaction.id } },
            body: {
              revision: map.revision,
              cue: /^they\b/i.test(cue) ? cue : `They ${cue}`,
              often: { word: "sometimes" },
            },
          }),
        ),
      { onSuccess: () => setWords("") },
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
      </p>
    </form>
  );
}
