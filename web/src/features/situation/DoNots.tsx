import { useState } from "react";
import type { Schemas } from "../../api/client";
import { hundred } from "../../labels";
import { hasDraft } from "../../ui/draft";
import { lowerFirst, techniqueOf } from "../map";
import { indexOf } from "../../model/mapIndex";
import { Responses } from "./Responses";
import { ReactionForm, reactionKey } from "./ReactionForm";
import { ResponseForm, responseKey } from "./ResponseForm";
import { May } from "../session";

/** What people do here and should not: why, what it costs to do it once, and the red thread to where it leads. */
export function DoNots({ map, at }: { map: Schemas["Map"]; at: Schemas["SituationOdds"] }) {
  const wrong = at.reactions.flatMap((odds) => {
    const reaction = indexOf(map).reaction(odds.reaction);
    return reaction?.doNot ? [{ odds, reaction }] : [];
  });
  return wrong.map(({ odds, reaction }) => (
    <DoNot key={reaction.id} map={map} at={at} reaction={reaction} odds={odds} />
  ));
}

function DoNot({
  map,
  at,
  reaction,
  odds,
}: {
  map: Schemas["Map"];
  at: Schemas["SituationOdds"];
  reaction: Schemas["Reaction"];
  odds: Schemas["ReactionOdds"];
}) {
  const [editing, setEditing] = useState(() => hasDraft(reactionKey(map, reaction.id)));
  const [adding, setAdding] = useState(() => hasDraft(responseKey(map, reaction.id)));
  const title = techniqueOf(map, reaction)?.title ?? reaction.technique;
  const costs = hundred(at.worth) - hundred(odds.worth);
  return (
    <section
      id={reaction.id}
      tabIndex={-1}
      className="group/answer border-b border-rule py-3"
      aria-label={`Do not: ${title}`}
    >
      <div className="flex flex-wrap items-baseline gap-x-3">
        <span
          aria-hidden="true"
          className="w-[22px] text-center text-[20px] leading-none font-bold text-rust"
        >
          ×
        </span>
        <h3 className="min-w-0 text-[17px]">
          <span className="text-rust">Do not</span> {lowerFirst(title)}
        </h3>
        <May right="edit-maps">
          <button
            type="button"
            className="word edit-word"
            aria-label={`Edit ${title}`}
            onClick={() => setEditing(!editing)}
          >
            Edit
          </button>
        </May>
        {odds.known && costs > 0 && (
          <span className="ml-auto font-semibold text-rust">costs {costs} of 100</span>
        )}
      </div>
      <p className="lg:pl-[34px]">{reaction.doNot}.</p>
      {editing && <ReactionForm map={map} reaction={reaction} onDone={() => setEditing(false)} />}
      <div className="relative">
        <Thread />
        <Responses map={map} reaction={reaction} odds={odds} className="mt-1 pl-6 lg:pl-[34px]" />
      </div>
      {adding ? (
        <div className="lg:pl-[34px]">
          <ResponseForm map={map} reaction={reaction.id} onDone={() => setAdding(false)} />
        </div>
      ) : (
        <May right="edit-maps">
          <button
            type="button"
            className="word edit-word mt-1 lg:ml-[34px]"
            aria-label={`Add what they do about ${title}`}
            onClick={() => setAdding(true)}
          >
            Add what they do
          </button>
        </May>
      )}
    </section>
  );
}

/** From the mistake down and over to what comes of it. */
function Thread() {
  return (
    <span
      aria-hidden="true"
      className="absolute top-0 bottom-3 left-[10px] w-[14px] border-b-2 border-l-2 border-rust after:absolute after:right-0 after:-bottom-[6px] after:border-y-[5px] after:border-l-[7px] after:border-y-transparent after:border-l-rust"
    />
  );
}
