import { problemOf, type Schemas } from "../../api/client";
import { techniqueOf } from "../map";
import { Refused } from "../../ui/Notice";
import { isOut } from "../../ui/Waiting";
import { freeId, takenIds } from "../../model/ids";
import { PartForm, REACTION_FIELDS, textOf, usePart } from "../workshop";
import { indexOf } from "../../model/mapIndex";

/** Where what is typed about a new reaction is kept until it is saved. */
export function newReactionKey(map: Schemas["Map"], situation: string): string {
  return `${map.id}/at/${situation}/+reaction`;
}

export function reactionKey(map: Schemas["Map"], reaction: string): string {
  return `${map.id}/reactions/${reaction}/in-place`;
}

/** Adds what you do in a situation. */
export function NewReactionForm({
  map,
  situation,
  onDone,
}: {
  map: Schemas["Map"];
  situation: string;
  onDone: () => void;
}) {
  return (
    <PartForm
      map={map}
      draftKey={newReactionKey(map, situation)}
      fields={REACTION_FIELDS}
      initial={{ works: "sometimes", seconds: 2 }}
      summary={() => `Added a reaction in “${indexOf(map).situation(situation)?.title ?? situation}”`}
      toInput={(value) => ({
        list: "reactions",
        id: freeId(`${situation}-${textOf(value, "technique")}`, takenIds(map, "reactions")),
        part: { ...value, from: situation },
      })}
      watch={situation}
      onDone={() => onDone()}
    />
  );
}

/** Changes what you do in a situation; what they do about it stays. */
export function ReactionForm({
  map,
  reaction,
  onDone,
}: {
  map: Schemas["Map"];
  reaction: Schemas["Reaction"];
  onDone: () => void;
}) {
  const part = usePart(map, "reactions", reaction.id);
  if (isOut(part)) return <Refused problem={problemOf(part.error)} />;
  if (!part.data) return null;
  return (
    <PartForm
      map={map}
      draftKey={reactionKey(map, reaction.id)}
      fields={REACTION_FIELDS}
      initial={part.data}
      summary={() => `Changed “${techniqueOf(map, reaction)?.title ?? reaction.id}”`}
      toInput={(value) => ({ list: "reactions", id: reaction.id, part: value })}
      watch={reaction.from}
      remove={{ one: "reaction", list: "reactions", id: reaction.id }}
      onDone={() => onDone()}
    />
  );
}
