import { useState, type ReactNode } from "react";
import { Link, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { hundred, seconds } from "../../labels";
import { hasDraft } from "../../ui/draft";
import { Gate, narrowness, Odds } from "../../ui/Gate";
import { Caution } from "../../ui/Notice";
import { closedInWords, insteadInWords, lowerFirst, paths, placeTitle, techniqueOf, theyDo } from "../map";
import { settingQuery } from "../odds";
import { LandingPreview } from "../picture";
import { isSituation, likelihoodText } from "./places";
import { ReactionForm, reactionKey } from "./ReactionForm";
import { ResponseForm, responseKey } from "./ResponseForm";
import { forWhom, Teaching } from "./Teaching";
import { Why } from "./Why";
import { Window } from "./Window";
import { indexOf } from "../../model/mapIndex";

/** One reaction with its gate, its window against the clock, and everything they do about it. */
export function ReactionBlock({
  map,
  situation,
  reaction,
  odds,
  was,
  rank,
  best,
}: {
  map: Schemas["Map"];
  situation: Schemas["Situation"];
  reaction: Schemas["Reaction"];
  odds: Schemas["ReactionOdds"];
  was?: Schemas["ReactionOdds"];
  rank: number;
  /** The answer to choose here, if there is one. */
  best: string | null | undefined;
}) {
  const [editing, setEditing] = useState(() => hasDraft(reactionKey(map, reaction.id)));
  const [adding, setAdding] = useState(() => hasDraft(responseKey(map, reaction.id)));
  const technique = techniqueOf(map, reaction);
  const title = technique?.title ?? reaction.technique;
  return (
    <section
      id={reaction.id}
      tabIndex={-1}
      className="scroll-mt-4 border-b border-rule py-3"
      aria-label={title}
    >
      <div className={`flex flex-wrap items-baseline gap-x-3 ${odds.usable ? "" : "text-quiet"}`}>
        <span className="key" aria-hidden="true">
          {rank}
        </span>
        <h3 className="min-w-0 text-[17px]" style={odds.known ? narrowness(odds.worth) : undefined}>
          {title}
        </h3>
        <button
          type="button"
          className="word"
          aria-label={`Edit ${title}`}
          onClick={() => setEditing(!editing)}
        >
          Edit
        </button>
        {odds.known ? (
          <Odds worth={odds.worth} was={was?.worth} className="ml-auto text-[18px]" />
        ) : (
          <span className="ml-auto text-quiet">not yet known</span>
        )}
      </div>
      {odds.known && <Gate worth={odds.worth} height={9} className="mt-1" />}
      {reaction.when && (
        <p className="mt-1 lg:pl-[34px]">
          <span className="font-semibold">When</span> {lowerFirst(reaction.when)}
        </p>
      )}
      {odds.usable ? (
        <Working map={map} situation={situation} reaction={reaction} odds={odds} />
      ) : (
        <p className="mt-1 text-rust lg:pl-[34px]">
          Closed {closedInWords(map, reaction, odds.closedBy)}
          {insteadInWords(map, odds.closedBy, best)}.
        </p>
      )}
      {technique && technique.cautions.length > 0 && (
        <div className="mt-1.5 space-y-1 lg:ml-[34px]">
          {technique.cautions.map((caution) => (
            <Caution key={caution}>{caution}</Caution>
          ))}
        </div>
      )}
      {editing && <ReactionForm map={map} reaction={reaction} onDone={() => setEditing(false)} />}
      {odds.responses.length === 0 && (
        <p className="mt-2 text-rust">What do they do about it? Nobody has said yet.</p>
      )}
      <Responses map={map} reaction={reaction} odds={odds} className="mt-1.5 lg:pl-[34px]" />
      <div className="mt-1 flex flex-wrap gap-x-6 lg:pl-[34px]">
        <button
          type="button"
          className="word"
          aria-label={`Add what they do about ${title}`}
          onClick={() => setAdding(true)}
        >
          Add what they do
        </button>
        {technique && (
          <Disclosure title="How it is done">
            <p className="mb-1 text-quiet">{forWhom(technique)}</p>
            <Teaching map={map} technique={technique} from={situation.id} to={mostlyLands(odds)} />
          </Disclosure>
        )}
        {odds.usable && odds.known && (
          <Disclosure title={`Why ${hundred(odds.worth)}?`}>
            <Why map={map} reaction={reaction.id} worth={odds.worth} />
          </Disclosure>
        )}
      </div>
      {adding && (
        <div className="lg:pl-[34px]">
          <ResponseForm map={map} reaction={reaction.id} onDone={() => setAdding(false)} />
        </div>
      )}
    </section>
  );
}

/** Where it leads most often, of what has an answer. */
function mostlyLands(odds: Schemas["ReactionOdds"]): string | undefined {
  const answered = odds.responses.filter((response) => response.answered);
  return answered.sort((a, b) => b.chance - a.chance)[0]?.lands;
}

/** Something that can be looked up here; what is inside is made only when it is opened. */
function Disclosure({ title, children }: { title: string; children: ReactNode }) {
  const [open, setOpen] = useState(false);
  return (
    <div className={open ? "order-last basis-full" : ""}>
      <button type="button" className="word" aria-expanded={open} onClick={() => setOpen(!open)}>
        {title}
      </button>
      {open && <div className="mt-1 mb-2 max-w-2xl border-l-2 border-rule pl-3">{children}</div>}
    </div>
  );
}

/** "while your legs are free, unless they control your head" */
function needsInWords(map: Schemas["Map"], needs: Record<string, boolean>): string {
  const title = (id: string) => lowerFirst(indexOf(map).fact(id)?.title ?? id);
  const wanted = Object.keys(needs).filter((id) => needs[id]);
  const unwanted = Object.keys(needs).filter((id) => !needs[id]);
  const parts = [
    wanted.length > 0 ? `while ${wanted.map(title).join(" and ")}` : "",
    unwanted.length > 0 ? `unless ${unwanted.map(title).join(" or ")}` : "",
  ];
  return parts.filter(Boolean).join(", ");
}

function Working({
  map,
  situation,
  reaction,
  odds,
}: {
  map: Schemas["Map"];
  situation: Schemas["Situation"];
  reaction: Schemas["Reaction"];
  odds: Schemas["ReactionOdds"];
}) {
  const needs = needsInWords(map, reaction.needs);
  return (
    <div className="mt-1 flex flex-wrap items-center gap-x-5 gap-y-1 text-quiet lg:pl-[34px]">
      {needs && <span>{needs}</span>}
      <span>
        {likelihoodText(reaction.works, true)} gets going · {seconds(reaction.seconds)}
      </span>
      {situation.clock && <Window takes={odds.takes} mean={situation.clock.seconds} inTime={odds.inTime} />}
      <span>when stuffed: {lowerFirst(placeTitle(map, reaction.stuffed ?? situation.id))}</span>
    </div>
  );
}

/** Everything they do about it, and where that leads. */
export function Responses({
  map,
  reaction,
  odds,
  className,
}: {
  map: Schemas["Map"];
  reaction: Schemas["Reaction"];
  odds: Schemas["ReactionOdds"];
  className: string;
}) {
  return (
    <ul className={className}>
      {odds.responses.map((responseOdds) => {
        const response = indexOf(map).response(reaction.id, responseOdds.response);
        return (
          response && (
            <ResponseRow
              key={response.id}
              map={map}
              reaction={reaction}
              response={response}
              odds={responseOdds}
            />
          )
        );
      })}
    </ul>
  );
}

function ResponseRow({
  map,
  reaction,
  response,
  odds,
}: {
  map: Schemas["Map"];
  reaction: Schemas["Reaction"];
  response: Schemas["Response"];
  odds: Schemas["ResponseOdds"];
}) {
  const [editing, setEditing] = useState(() => hasDraft(responseKey(map, reaction.id, response.id)));
  const [params] = useSearchParams();
  const doing = theyDo(response.cue);
  if (editing) {
    return (
      <li>
        <ResponseForm map={map} reaction={reaction.id} response={response} onDone={() => setEditing(false)} />
      </li>
    );
  }
  const landing = placeTitle(map, odds.lands);
  return (
    <li
      className={`grid grid-cols-[minmax(0,1fr)_auto] items-baseline gap-x-3 gap-y-0.5 px-2 py-1 sm:grid-cols-[minmax(0,1.5fr)_76px_minmax(0,1fr)_64px_30px_36px] ${
        odds.answered ? "" : "outline-1 outline-rust outline-dashed"
      }`}
    >
      <span className="min-w-0">
        {doing.startsWith("they ") ? (
          <>
            <span className="text-quiet">they</span> {doing.slice(5)}
          </>
        ) : (
          doing
        )}
      </span>
      <span className="text-quiet max-sm:text-right" title={`${hundred(odds.chance)} of 100 by habit`}>
        {likelihoodText(response.often, false)}
      </span>
      {!odds.answered ? (
        <span className="font-semibold text-rust sm:col-span-3">no answer yet</span>
      ) : (
        <>
          <span className="min-w-0">
            {isSituation(map, odds.lands) ? (
              <LandingPreview map={map} place={odds.lands}>
                <Link
                  to={paths.situation(map.id, odds.lands) + settingQuery(params)}
                  className="underline decoration-rule underline-offset-3 hover:decoration-ink"
                  style={narrowness(odds.worth)}
                >
                  {landing}
                </Link>
              </LandingPreview>
            ) : (
              landing
            )}
          </span>
          <Gate worth={odds.worth} className="max-sm:hidden" />
          <Odds worth={odds.worth} className="text-right" />
        </>
      )}
      <button
        type="button"
        className="word justify-self-end max-sm:col-start-2"
        aria-label={`${odds.answered ? "Edit" : "Answer"}: ${doing}`}
        onClick={() => setEditing(true)}
      >
        {odds.answered ? "Edit" : "Answer"}
      </button>
    </li>
  );
}
