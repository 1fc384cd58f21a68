import { useState } from "react";
import { Link, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { hundred, seconds } from "../../labels";
import { Gate, narrowness, Odds } from "../../ui/Gate";
import { lowerFirst, paths, withoutThey } from "../map";
import { settingQuery } from "../odds";
import { isSituation, likelihoodText, placeTitle, techniqueOf } from "./places";
import { ReactionForm } from "./ReactionForm";
import { ResponseForm } from "./ResponseForm";
import { Window } from "./Window";

/** One reaction with its gate, its window against the clock, and everything they do about it. */
export function ReactionBlock({
  map,
  situation,
  reaction,
  odds,
  was,
  rank,
}: {
  map: Schemas["Map"];
  situation: Schemas["Situation"];
  reaction: Schemas["Reaction"];
  odds: Schemas["ReactionOdds"];
  was?: Schemas["ReactionOdds"];
  rank: number;
}) {
  const [editing, setEditing] = useState(false);
  const [adding, setAdding] = useState(false);
  const title = techniqueOf(map, reaction)?.title ?? reaction.technique;
  return (
    <section className="border-b border-rule py-3" aria-label={title}>
      <div className={`flex flex-wrap items-baseline gap-x-3 ${odds.usable ? "" : "text-quiet"}`}>
        <span className="key" aria-hidden="true">
          {rank}
        </span>
        <h3 className="min-w-0 text-[17px]" style={narrowness(odds.worth)}>
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
        <Odds worth={odds.worth} was={was?.worth} className="ml-auto text-[18px]" />
      </div>
      <Gate worth={odds.worth} height={9} className="mt-1" />
      {odds.usable ? (
        <Working map={map} situation={situation} reaction={reaction} odds={odds} />
      ) : (
        <p className="mt-1 text-rust lg:pl-[34px]">
          Closed here: {closedInWords(map, reaction, odds.closedBy)}.
        </p>
      )}
      {editing && (
        <ReactionForm
          map={map}
          situation={situation.id}
          reaction={reaction}
          onDone={() => setEditing(false)}
        />
      )}
      {odds.responses.length === 0 && (
        <p className="mt-2 text-rust">What do they do about it? Nobody has said yet.</p>
      )}
      <ul className="mt-1.5 lg:pl-[34px]">
        {odds.responses.map((responseOdds) => {
          const response = reaction.responses.find((r) => r.id === responseOdds.response);
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
      {adding ? (
        <div className="lg:pl-[34px]">
          <ResponseForm map={map} reaction={reaction.id} onDone={() => setAdding(false)} />
        </div>
      ) : (
        <button
          type="button"
          className="word mt-1 lg:ml-[34px]"
          aria-label={`Add what they do about ${title}`}
          onClick={() => setAdding(true)}
        >
          Add what they do
        </button>
      )}
    </section>
  );
}

/** "while your legs are free, unless they control your head" */
function needsInWords(map: Schemas["Map"], needs: Record<string, boolean>): string {
  const title = (id: string) => lowerFirst(map.facts.find((f) => f.id === id)?.title ?? id);
  const wanted = Object.keys(needs).filter((id) => needs[id]);
  const unwanted = Object.keys(needs).filter((id) => !needs[id]);
  const parts = [
    wanted.length > 0 ? `while ${wanted.map(title).join(" and ")}` : "",
    unwanted.length > 0 ? `unless ${unwanted.map(title).join(" or ")}` : "",
  ];
  return parts.filter(Boolean).join(", ");
}

/** Why a reaction is closed: the facts that are against it. */
function closedInWords(
  map: Schemas["Map"],
  reaction: Schemas["Reaction"],
  closedBy: Schemas["Closing"][],
): string {
  return closedBy
    .map(({ kind, what }) => {
      switch (kind) {
        case "fact": {
          const title = lowerFirst(map.facts.find((f) => f.id === what)?.title ?? what);
          return reaction.needs[what] ? `it is not so that ${title}` : title;
        }
        case "stance":
          return "the house has taken the other stance";
        case "injury":
          return `not with a bad ${what.replace("-", " ")}`;
        case "children":
          return "not for children";
        case "rule":
          return lowerFirst(map.rules.find((r) => r.id === what)?.title ?? what);
      }
    })
    .join(", and ");
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
  const [editing, setEditing] = useState(false);
  const [params] = useSearchParams();
  const cue = withoutThey(response.cue);
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
      className={`grid grid-cols-[minmax(0,1fr)_auto] items-baseline gap-x-3 gap-y-0.5 px-2 py-1 sm:grid-cols-[minmax(0,1fr)_88px_minmax(0,170px)_96px_30px_36px] ${
        odds.answered ? "" : "outline-1 outline-rust outline-dashed"
      }`}
    >
      <span className="min-w-0">
        <span className="text-quiet">they</span> {lowerFirst(cue)}
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
              <Link
                to={paths.situation(map.id, odds.lands) + settingQuery(params)}
                className="underline decoration-rule underline-offset-3 hover:decoration-ink"
                style={narrowness(odds.worth)}
              >
                {landing}
              </Link>
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
        className="word justify-self-end"
        aria-label={`${odds.answered ? "Edit" : "Answer"}: they ${lowerFirst(cue)}`}
        onClick={() => setEditing(true)}
      >
        {odds.answered ? "Edit" : "Answer"}
      </button>
    </li>
  );
}
