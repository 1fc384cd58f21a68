import { useState } from "react";
import { Link, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { rewritten } from "../../ui/address";
import { Picker } from "../../ui/Picker";
import { useAddress } from "../../ui/address";
import { May } from "../session";
import { useStandings } from "../standing";
import { everydayFirst, isAlwaysOffered, proposalKey, sourceName, type Source } from "./design";
import { focusInWords, kindTitle } from "./words";

const SHOWN = 5;
const MOST_DUE = 3;
/** Gains below half of a hundredth are small ones. */
const SMALL = 0.005;

/** What may be taken onto the bench: what is worth drilling, what the gym has kept, or any place of the map. */
export function Offers({
  map,
  proposals,
  library,
  source,
}: {
  map: Schemas["Map"];
  proposals: Schemas["Proposal"][];
  library: Schemas["KeptDrill"][];
  source: Source | undefined;
}) {
  const [all, setAll] = useState(false);
  const [, write] = useAddress();
  const here = source && sourceName(source);
  const offered = everydayFirst(proposals);
  const large = offered.filter((p) => isAlwaysOffered(p) || p.gain >= SMALL).slice(0, SHOWN);
  const shown = all ? offered : large;
  return (
    <>
      <h2 className="flex justify-between text-base lg:text-[15px]">
        Worth drilling <span className="font-normal text-quiet">more out, of 100</span>
      </h2>
      <ul>
        {shown.map((proposal) => {
          const key = proposalKey(proposal);
          return (
            <Offer
              key={key}
              to={{ worth: key }}
              here={here === key}
              title={
                proposal.focus === "everyday"
                  ? proposal.drill.title
                  : proposal.otherTitle
                    ? `${proposal.placeTitle}, or ${proposal.otherTitle.toLowerCase()}?`
                    : proposal.placeTitle
              }
              above={focusInWords(proposal.focus)}
              figure={`+${(proposal.gain * 100).toFixed(1)}`}
              says=""
            />
          );
        })}
      </ul>
      {proposals.length > large.length && (
        <button type="button" className="word" aria-expanded={all} onClick={() => setAll(!all)}>
          {all ? "The large ones only" : `${proposals.length - large.length} small ones`}
        </button>
      )}
      <May right="keep-record">
        <DueOffers mapId={map.id} source={source} />
      </May>
      <h2 className="mt-4 text-base lg:text-[15px]">Ours</h2>
      {library.length === 0 && <p className="text-quiet">Nothing is kept yet. “Keep” puts a drill here.</p>}
      <ul>
        {library.map((kept) => (
          <Offer
            key={kept.id}
            to={{ kept: kept.id }}
            here={here === `kept:${kept.id}`}
            title={kept.title}
            above={kindTitle(kept.kind)}
            figure={`${Math.round(kept.minutes)} min`}
            says={kept.problems[0] ? `No longer fits the map: ${kept.problems[0]}` : ""}
          />
        ))}
      </ul>
      <label className="mt-3 block">
        <span className="text-quiet">Start from a place</span>
        <Picker
          label="Start from a place"
          value={source?.from === "place" ? source.place : ""}
          choices={map.situations.map((s) => ({ id: s.id, title: s.title }))}
          onChange={(place) => write({ place, kept: undefined, worth: undefined, how: undefined })}
        />
      </label>
    </>
  );
}

/** Answers of which those who trained lately are losing most. */
function DueOffers({ mapId, source }: { mapId: string; source: Source | undefined }) {
  const standings = useStandings(mapId);
  const due = standings.data?.due.slice(0, MOST_DUE) ?? [];
  if (due.length === 0 && !standings.isLoading) return null;
  return (
    <>
      <h2 className="mt-4 flex justify-between text-base lg:text-[15px]">
        Due <span className="font-normal text-quiet">lost by forgetting, of 100</span>
      </h2>
      {/* As high as it will be for most, so that what is kept does not move under a finger. */}
      <ul aria-busy={standings.isLoading} className={standings.isLoading ? "h-[180px]" : ""}>
        {due.map((one) => (
          <Offer
            key={one.reaction}
            to={{ place: one.place }}
            here={source?.from === "place" && source.place === one.place}
            title={one.title}
            above={one.placeTitle}
            figure={`−${(one.cost * 100).toFixed(1)}`}
            says=""
          />
        ))}
      </ul>
    </>
  );
}

function Offer({
  to,
  here,
  title,
  above,
  figure,
  says,
}: {
  to: { kept?: string; worth?: string; place?: string };
  here: boolean;
  title: string;
  above: string;
  figure: string;
  says: string;
}) {
  const [params] = useSearchParams();
  const next = rewritten(params, {
    kept: undefined,
    worth: undefined,
    place: undefined,
    how: undefined,
    removed: undefined,
    ...to,
  });
  return (
    <li
      className={`border-b border-rule ${here ? "-mx-3 border-x-[5px] border-x-ink bg-lane px-[7px]" : ""}`}
    >
      <Link
        to={`?${next}`}
        aria-current={here ? "true" : undefined}
        onClick={() => window.scrollTo(0, 0)}
        className="block py-2 no-underline hover:underline"
      >
        <span className="flex justify-between gap-2 text-quiet">
          <span>{above}</span>
          <span className="font-semibold text-ink">{figure}</span>
        </span>
        <span className="block leading-tight font-semibold">{title}</span>
        {says && <span className="block text-rust">{says}</span>}
      </Link>
    </li>
  );
}
