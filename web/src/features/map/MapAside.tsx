import { rollup } from "d3-array";
import { memo } from "react";
import { Link, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { hundred, KIND_LABEL, tenths } from "../../labels";
import { settingQuery, useReview, type Overview } from "../odds";
import { Filters } from "./Filters";
import { findingPath, findingPlace } from "./holes";
import { changedMost, NARROW, narrowest } from "./marks";
import { paths } from "./paths";
import { placeTitle, reactionTitle } from "./titles";

/** Beside the map: what changed most, what everything hangs on, the filters and the holes. */
export function MapAside({
  map,
  odds,
  was,
  gates,
}: {
  map: Schemas["Map"];
  odds: Overview;
  was?: Overview;
  gates?: Schemas["NarrowGates"];
}) {
  return (
    <aside className="border-rule px-5 pb-6 lg:order-3 lg:border-l">
      <ChangedOrNarrowest map={map} odds={odds} was={was} />
      <HangsAndHoles map={map} gates={gates} />
    </aside>
  );
}

/** What changed most, or the narrowest places while nothing changes; always three lines, so that nothing jumps. */
function ChangedOrNarrowest({ map, odds, was }: { map: Schemas["Map"]; odds: Overview; was?: Overview }) {
  const changed = was ? changedMost(was.situations, odds.situations, 3) : [];
  return (
    <p className="mt-1 line-clamp-3 min-h-[3lh] text-quiet" aria-live="polite">
      {changed.length > 0 ? (
        <>
          <span className="font-semibold text-ink">Changed most: </span>
          {changed.map((c) => `${placeTitle(map, c.id)} ${c.after}, was ${c.before}`).join("; ")}.
        </>
      ) : (
        <>
          {forcedInWords(odds)}Narrowest:{" "}
          {narrowest(odds.situations, 2)
            .map((id) => `${placeTitle(map, id)} ${hundred(odds.situations[id]!.worth)}`)
            .join("; ")}
          .
        </>
      )}
    </p>
  );
}

/** "Whatever they do: guard from 6 places. " Nothing where nothing can be forced. */
function forcedInWords(odds: Overview): string {
  const kinds = rollup(
    Object.values(odds.situations).filter((at) => at.forced && !at.stop),
    (places) => places.length,
    (at) => at.forced!,
  );
  const told = [...kinds].map(([kind, places]) => `${KIND_LABEL[kind] ?? kind} from ${places} places`);
  return told.length > 0 ? `Whatever they do: ${told.join(", ")}. ` : "";
}

/** Drawn again when the hand rests, not while it moves. */
const HangsAndHoles = memo(function HangsAndHoles({
  map,
  gates,
}: {
  map: Schemas["Map"];
  gates?: Schemas["NarrowGates"];
}) {
  const [params] = useSearchParams();
  const review = useReview(map);
  const to = (situation: string) => paths.situation(map.id, situation) + settingQuery(params);
  const open = (review.data ?? []).filter((finding) => !finding.dismissed);
  return (
    <>
      <h2 className="mt-1 text-base lg:text-[15px]">Everything hangs on</h2>
      {gates?.gates.slice(0, NARROW).map((gate) => (
        <Link
          key={gate.reaction}
          to={to(gate.situation)}
          className="mt-1.5 block border-l-4 border-signal pl-3 no-underline hover:underline"
        >
          <span className="font-semibold">{reactionTitle(map, gate.reaction)}</span>
          <span className="block text-quiet">Without it {tenths(gate.lost)} of 100 fewer.</span>
        </Link>
      ))}
      <Filters map={map} />
      <h2 className="mt-4 text-base lg:text-[15px]">
        <Link className="no-underline hover:underline" to={paths.review(map.id) + settingQuery(params)}>
          Holes
        </Link>
      </h2>
      {review.data && open.length === 0 && (
        <p className="mt-1 text-quiet">Every answer of theirs has been answered.</p>
      )}
      <Findings map={map} findings={open.slice(0, SHOWN)} query={settingQuery(params)} />
      {open.length > SHOWN && (
        <p className="mt-2">
          <Link className="word" to={paths.review(map.id) + settingQuery(params)}>
            All {open.length}
          </Link>
        </p>
      )}
      <p className="mt-4 text-quiet">{map.about}</p>
    </>
  );
});

const SHOWN = 3;

function Findings({
  map,
  findings,
  query,
}: {
  map: Schemas["Map"];
  findings: Schemas["Finding"][];
  query: string;
}) {
  return findings.map((finding) => {
    const gain = tenths(finding.gain ?? 0);
    return (
      <Link
        key={finding.kind + finding.place + (finding.response ?? "")}
        to={findingPath(map, finding, query)}
        className="block border-b border-rule py-2 no-underline hover:underline"
      >
        <span className="font-semibold">{findingPlace(map, finding).title}</span>
        <span className="block text-quiet">{finding.reason}</span>
        {Number(gain) > 0 && <span className="block font-semibold text-green">up to +{gain} if mended</span>}
      </Link>
    );
  });
}
