import { useState } from "react";
import { api, problemOf, unwrap, type Schemas } from "../../api/client";
import { Refused } from "../../ui/Notice";
import { techniqueOf, useMapChange } from "../map";

/** Files what they did that nobody has answered yet: a few words and one press. */
export function WhatIf({
  map,
  reactions,
  best,
}: {
  map: Schemas["Map"];
  reactions: Schemas["Reaction"][];
  best: string | undefined;
}) {
  const save = useMapChange(map.id);
  const [words, setWords] = useState("");
  const [chosen, setChosen] = useState("");
  const after = reactions.find((r) => r.id === (chosen || best)) ?? reactions[0];
  if (!after) return <p className="text-quiet">Teach a reaction first; then ask what they do about it.</p>;
  const file = () => {
    const cue = words.trim();
    if (cue === "") return;
    save.mutate(
      () =>
        unwrap(
          api.POST("/api/maps/{mapId}/reactions/{reaction}/responses", {
            params: { path: { mapId: map.id, reaction: after.id } },
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
      className="space-y-2"
      onSubmit={(event) => {
        event.preventDefault();
        file();
      }}
    >
      <label className="block">
        <span className="text-base font-semibold lg:text-[15px]">What if they …</span>
        <input
          className="box mt-1"
          value={words}
          maxLength={390}
          placeholder="sit back and wait"
          onChange={(event) => setWords(event.target.value)}
        />
      </label>
      <label className="block">
        <span className="text-quiet">after you</span>
        <select className="box mt-0.5" value={after.id} onChange={(event) => setChosen(event.target.value)}>
          {reactions.map((r) => (
            <option key={r.id} value={r.id}>
              {techniqueOf(map, r)?.title ?? r.technique}
            </option>
          ))}
        </select>
      </label>
      <button type="submit" className="plate" disabled={save.isPending || words.trim() === ""}>
        Keep the question
      </button>
      {save.isError && <Refused problem={problemOf(save.error)} />}
      {save.isSuccess && words === "" && (
        <p role="status">Kept. Until somebody answers it, it counts as if you were stuffed.</p>
      )}
    </form>
  );
}
