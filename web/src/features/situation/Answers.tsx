import { useEffect, useMemo, useState } from "react";
import { Link, useLocation, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { hundred, KIND_LABEL } from "../../labels";
import { indexOf } from "../../model/mapIndex";
import { isTyping, useCommand, useKeysOn } from "../../ui/commands";
import { hasDraft } from "../../ui/draft";
import { difference, Gate } from "../../ui/Gate";
import { lowerFirst, paths, techniqueOf } from "../map";
import {
  Reorder,
  SettingLine,
  settingQuery,
  useAim,
  useExplanation,
  useFrozenOrder,
  useSetting,
} from "../odds";
import { BestPath } from "./BestPath";
import { DoNots } from "./DoNots";
import { biggestLoss } from "./explanation";
import { isDrafted, ReactionBlock } from "./ReactionBlock";
import { NewReactionForm, newReactionKey } from "./ReactionForm";
import { BesideLine, SideBySide } from "./SideBySide";
import { May, useMay } from "../session";

/** What the odds are laid beside: the same place as it was before something changed here. */
export interface WasBefore {
  at?: Schemas["SituationOdds"];
  clear: () => void;
}

/** The odds in words and the reactions, the best first: it open, the others a line each. */
export function Answers({
  map,
  situation,
  at,
  was,
}: {
  map: Schemas["Map"];
  situation: Schemas["Situation"];
  at: Schemas["SituationOdds"];
  was?: WasBefore;
}) {
  const [adding, setAdding] = useState(() => hasDraft(newReactionKey(map, situation.id)));
  const [params] = useSearchParams();
  const { hash } = useLocation();
  const [{ read }] = useSetting();
  // Odds are about chance; against somebody who always finds the worst it is about what can be forced.
  const alwaysRead = read >= 1;
  const all = useMemo(() => at.reactions.filter((r) => !indexOf(map).reaction(r.reaction)?.doNot), [map, at]);
  const order = useFrozenOrder(all, (r) => r.reaction, `${map.id} ${map.revision} ${situation.id}`);
  const answers = order.items;
  const [opened, setOpened] = useState(() => {
    const drafted = answers.filter((r) => isDrafted(map, r.reaction)).map((r) => r.reaction);
    const pointed = answers.some((r) => r.reaction === hash.slice(1)) ? [hash.slice(1)] : [];
    const first = pointed.length > 0 ? [] : answers.slice(0, 1).map((r) => r.reaction);
    return new Set([...pointed, ...first, ...drafted]);
  });
  const turn = (id: string) =>
    setOpened((now) => {
      const next = new Set(now);
      if (!next.delete(id)) next.add(id);
      return next;
    });
  useEffect(() => {
    // After the page has been put to its top.
    const frame = requestAnimationFrame(() => {
      const target = hash && document.getElementById(hash.slice(1));
      if (!target) return;
      target.scrollIntoView();
      target.focus({ preventScroll: true });
    });
    return () => cancelAnimationFrame(frame);
  }, [hash]);
  const mayEdit = useMay("edit-maps");
  useCommand(mayEdit ? { title: "Add what you do", key: "a", run: () => setAdding(true) } : undefined);
  useAnswerKeys((rank) => {
    const id = answers[rank - 1]?.reaction;
    if (id === undefined) return;
    turn(id);
    document.getElementById(id)?.focus();
  });
  const late = situation.stage === "last-chance";
  const by = was?.at ? difference(was.at.worth, at.worth) : "";
  return (
    <>
      <div className="flex items-end gap-4 pt-2.5 pb-2.5">
        {!alwaysRead && (
          <span
            className={`leading-[0.8] font-bold max-mid:sr-only ${at.stop ? "pb-1 text-[34px]" : "text-[74px]"}`}
            style={{ fontStretch: "76%" }}
            data-testid="odds"
          >
            {at.stop ? "You are there" : hundred(at.worth)}
          </span>
        )}
        {/* As high with a gate as without: a read drawn to its end may not move the handle. */}
        <div className="min-w-0 grow mid:min-h-[70px]">
          <div className="flex items-end gap-x-4 pb-1.5">
            <p
              aria-live="polite"
              className={`line-clamp-2 min-h-[2lh] grow content-end ${alwaysRead ? "text-[17px]" : "text-[15px]"}`}
            >
              {alwaysRead ? <Forced at={at} /> : <Sentence map={map} at={at} />}
            </p>
            <May right="read-maps">
              <Link
                to={paths.drillFrom(map.id, situation.id, settingQuery(params))}
                className="plate inline-flex shrink-0 items-center no-underline"
              >
                Drill this
              </Link>
            </May>
          </div>
          {!alwaysRead && !at.stop && (
            <Gate
              worth={at.worth}
              beside={was?.at?.worth}
              late={late}
              height={20}
              className="max-mid:hidden"
            />
          )}
        </div>
      </div>
      <div className="border-t-[3px] border-ink pt-1">
        <SettingLine map={map}>
          <BesideLine map={map} situation={situation} at={at} />
        </SettingLine>
        <div className="border-b border-rule">
          <Reorder
            first={order.first && techniqueOf(map, indexOf(map).reaction(order.first.reaction))?.title}
            reorder={order.reorder}
          >
            {by && was && (
              <span className="shrink-0 whitespace-nowrap">
                was {hundred(was.at!.worth)} ({by}){" "}
                <button type="button" className="word" onClick={was.clear}>
                  clear
                </button>
              </span>
            )}
          </Reorder>
        </div>
      </div>
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
              was={was?.at?.reactions.find((r) => r.reaction === reaction.id)?.worth}
              rank={index + 1}
              best={at.best}
              open={opened.has(reaction.id)}
              turn={() => turn(reaction.id)}
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
        <p className="mt-3 flex gap-x-6">
          {mayEdit && (
            <button type="button" className="word" onClick={() => setAdding(true)}>
              Add what you do
            </button>
          )}
          {answers.some((r) => !opened.has(r.reaction)) && (
            <button
              type="button"
              className="word"
              onClick={() => setOpened(new Set(answers.map((r) => r.reaction)))}
            >
              Open all answers
            </button>
          )}
        </p>
      )}
      <BestPath map={map} situation={situation} at={at} />
    </>
  );
}

/** The keys 1 to 9, each for the answer of that number. */
function useAnswerKeys(press: (rank: number) => void): void {
  const [keysOn] = useKeysOn();
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!keysOn || event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey) return;
      if (!/^[1-9]$/.test(event.key) || isTyping(event.target)) return;
      if (event.target instanceof HTMLElement && event.target.closest("[role=dialog], [role=menu]")) return;
      press(Number(event.key));
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  });
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

/** "of 100 starts reach guard or better. Most are lost because it is stuffed: 12." */
function Sentence({ map, at }: { map: Schemas["Map"]; at: Schemas["SituationOdds"] }) {
  const aim = useAim(map);
  const explanation = useExplanation(map, at.best ?? undefined);
  const loss = explanation.data && biggestLoss(map, explanation.data);
  if (at.stop) return <Staying map={map} at={at} />;
  const ends = Object.entries(at.ends)
    .map(([kind, chance]) => ({ kind, count: hundred(chance) }))
    .filter((end) => end.count > 0)
    .sort((a, b) => b.count - a.count);
  const list = ends.map((end) => `${KIND_LABEL[end.kind] ?? end.kind} ${end.count}`);
  if (hundred(at.neverEnds) > 0) list.push(`held for ever ${hundred(at.neverEnds)}`);
  return (
    <>
      <span className="font-semibold">
        {aim?.chance
          ? `of 100 starts here reach ${aim.title.toLowerCase()}.`
          : `of 100 by ${(aim?.title ?? "").toLowerCase()}.`}
      </span>{" "}
      <span className="text-quiet" title={`They end in ${list.join(", ")}.`}>
        {loss}
        <span className="sr-only"> They end in {list.join(", ")}.</span>
      </span>
    </>
  );
}
