import { useEffect, useRef, useState } from "react";
import { Link, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { hundred } from "../../labels";
import { indexOf } from "../../model/mapIndex";
import { hasDraft } from "../../ui/draft";
import { Gate, narrowness, Odds } from "../../ui/Gate";
import { paths, placeTitle, theyDo } from "../map";
import { settingQuery } from "../odds";
import { LandingPreview } from "../picture";
import { isSituation, likelihoodText } from "./places";
import { ResponseForm, responseKey } from "./ResponseForm";
import { May } from "../session";

const isLate = (map: Schemas["Map"], place: string) => indexOf(map).situation(place)?.stage === "last-chance";

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
  const row = useRef<HTMLLIElement>(null);
  const wasEditing = useRef(editing);
  useEffect(() => {
    // The focus goes to what changed: the form is gone with whatever had it.
    if (wasEditing.current && !editing) row.current?.focus();
    wasEditing.current = editing;
  }, [editing]);
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
      ref={row}
      tabIndex={-1}
      className={`grid min-h-11 grid-cols-[minmax(0,1fr)_auto] items-center gap-x-3 px-2 lg:min-h-[26px] lg:grid-cols-[minmax(0,1.5fr)_80px_minmax(0,1fr)_92px_30px_50px] ${
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
      <span className="text-quiet max-lg:text-right" title={`${hundred(odds.chance)} of 100 by habit`}>
        {likelihoodText(response.often, false)}
      </span>
      {!odds.answered ? (
        <span className="font-semibold text-rust lg:col-span-3">no answer yet</span>
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
          <Gate worth={odds.worth} late={isLate(map, odds.lands)} className="max-lg:hidden" />
          <Odds worth={odds.worth} className="text-right" />
        </>
      )}
      <May right="edit-maps">
        <button
          type="button"
          className={`word justify-self-end max-lg:col-start-2 ${odds.answered ? "edit-word" : ""}`}
          aria-label={`${odds.answered ? "Edit" : "Answer"}: ${doing}`}
          onClick={() => setEditing(true)}
        >
          {odds.answered ? "Edit" : "Answer"}
        </button>
      </May>
    </li>
  );
}
