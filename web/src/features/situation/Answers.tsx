import { useEffect, useState } from "react";
import { useLocation } from "react-router";
import type { Schemas } from "../../api/client";
import { hundred, KIND_LABEL } from "../../labels";
import { useCommand } from "../../ui/commands";
import { hasDraft } from "../../ui/draft";
import { Gate } from "../../ui/Gate";
import { useAim, useExplanation, useSetting } from "../odds";
import { BestPath } from "./BestPath";
import { biggestLoss } from "./explanation";
import { lowerFirst } from "../map";
import { DoNots } from "./DoNots";
import { ReactionBlock } from "./ReactionBlock";
import { NewReactionForm, newReactionKey } from "./ReactionForm";
import { SideBySide } from "./SideBySide";
import { indexOf } from "../../model/mapIndex";

/** The odds in words and the reactions, the best first. */
export function Answers({
  map,
  situation,
  at,
  was,
}: {
  map: Schemas["Map"];
  situation: Schemas["Situation"];
  at: Schemas["SituationOdds"];
  was?: Schemas["SituationOdds"];
}) {
  const [adding, setAdding] = useState(() => hasDraft(newReactionKey(map, situation.id)));
  const { hash } = useLocation();
  useEffect(() => {
    // After the page has been put to its top.
    const frame = requestAnimationFrame(
      () => hash && document.getElementById(hash.slice(1))?.scrollIntoView(),
    );
    return () => cancelAnimationFrame(frame);
  }, [hash]);
  useCommand({ title: "Add what you do", key: "a", run: () => setAdding(true) });
  const [{ read }] = useSetting();
  // Odds are about chance; against somebody who always finds the worst it is about what can be forced.
  const alwaysRead = read >= 1;
  const answers = at.reactions.filter((r) => !indexOf(map).reaction(r.reaction)?.doNot);
  const late = situation.stage === "last-chance";
  const before = was && hundred(was.worth) !== hundred(at.worth) ? hundred(was.worth) : undefined;
  return (
    <>
      <div className="mt-3 flex min-h-[63px] items-end gap-4 border-b-[3px] border-ink pb-3">
        {!alwaysRead && (
          <span
            className={`leading-[0.8] font-bold ${at.stop ? "pb-1 text-[34px]" : "text-[60px]"}`}
            style={{ fontStretch: "76%" }}
            data-testid="odds"
          >
            {at.stop ? "You are there" : hundred(at.worth)}
          </span>
        )}
        <div className="min-w-0 grow">
          <p aria-live="polite" className={alwaysRead ? "text-[17px]" : ""}>
            {alwaysRead ? <Forced at={at} /> : <Sentence map={map} at={at} was={before} />}
          </p>
          {!alwaysRead && !at.stop && <Gate worth={at.worth} late={late} height={12} className="mt-1.5" />}
        </div>
      </div>
      <BestPath map={map} situation={situation} at={at} />
      <SideBySide map={map} situation={situation} at={at} />
      {answers.map((reactionOdds, index) => {
        const reaction = indexOf(map).reaction(reactionOdds.reaction);
        return (
          reaction && (
            <ReactionBlock
              key={reaction.id}
              map={map}
              situation={situation}
              reaction={reaction}
              odds={reactionOdds}
              was={was?.reactions.find((r) => r.reaction === reaction.id)}
              rank={index + 1}
              best={at.best}
            />
          )
        );
      })}
      {answers.length === 1 && situation.oneAnswer && (
        <p className="mt-2 text-quiet">One answer only: {lowerFirst(situation.oneAnswer)}.</p>
      )}
      {answers.length === 0 && (
        <p className="py-4 text-rust">Nothing is taught from here. Until something is, the clock runs.</p>
      )}
      <DoNots map={map} at={at} />
      {adding ? (
        <NewReactionForm map={map} situation={situation.id} onDone={() => setAdding(false)} />
      ) : (
        <button type="button" className="word mt-3" onClick={() => setAdding(true)}>
          Add what you do
        </button>
      )}
    </>
  );
}

/** A place of rest where nothing that is taught is worth more than staying: no odds, one is there. */
function Staying({ map, at }: { map: Schemas["Map"]; at: Schemas["SituationOdds"] }) {
  const aim = useAim(map);
  const onwards = Math.max(0, ...at.reactions.filter((r) => r.usable).map((r) => r.worth));
  return (
    <>
      {hundred(at.worth) < 100 && `Worth ${hundred(at.worth)} of 100 by “${aim?.title ?? ""}”. `}
      Staying is best
      {onwards > 0 ? `; going on from here reaches ${hundred(onwards)} of 100.` : "."}
    </>
  );
}

/** What can be had from somebody who always finds the worst answer for you. */
function Forced({ at }: { at: Schemas["SituationOdds"] }) {
  if (!at.forced) {
    return (
      <span className="text-quiet">
        They always find the worst for you. What you teach here cannot make them give anything.
      </span>
    );
  }
  return (
    <>
      Whatever they do, you {at.stop ? "keep" : "can end in"}{" "}
      <span className="font-semibold">{KIND_LABEL[at.forced] ?? at.forced} or better</span>.
    </>
  );
}

/** "52 of 100 starts reach guard or better. They end in guard 31, reversal 21, tap 9." */
function Sentence({
  map,
  at,
  was,
}: {
  map: Schemas["Map"];
  at: Schemas["SituationOdds"];
  was: number | undefined;
}) {
  const aim = useAim(map);
  const explanation = useExplanation(map, at.best ?? undefined);
  const loss = explanation.data && biggestLoss(map, explanation.data);
  const ends = Object.entries(at.ends)
    .map(([kind, chance]) => ({ kind, count: hundred(chance) }))
    .filter((end) => end.count > 0)
    .sort((a, b) => b.count - a.count);
  if (at.stop) return <Staying map={map} at={at} />;
  const list = ends.map((end) => `${KIND_LABEL[end.kind] ?? end.kind} ${end.count}`);
  if (hundred(at.neverEnds) > 0) list.push(`held for ever ${hundred(at.neverEnds)}`);
  return (
    <>
      {aim?.chance ? (
        <>of 100 starts here reach {aim.title.toLowerCase()}</>
      ) : (
        <>of 100 by {aim?.title.toLowerCase()}</>
      )}
      {was === undefined ? "" : `, was ${was}`}. {loss && <>{loss} </>}
      <span className="text-quiet">
        They end in {list.join(", ")}.
        {at.forced && ` Whatever they do, you can end in ${KIND_LABEL[at.forced] ?? at.forced} or better.`}
      </span>
    </>
  );
}
