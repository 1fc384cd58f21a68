import { rollup } from "d3-array";
import { memo, useSyncExternalStore } from "react";
import { Link, useSearchParams } from "react-router";
import { onAsOf, shownAsOf } from "../../api/asOf";
import type { Schemas } from "../../api/client";
import { KIND_LABEL, tenths } from "../../labels";
import { settingQuery, useReview, type Overview } from "../odds";
import { findingPath, findingPlace } from "./holes";
import { NARROW } from "./marks";
import { paths } from "./paths";
import { Shown } from "./Shown";
import { reactionTitle } from "./titles";
import { Tonight } from "./Tonight";
import { useMarks } from "./useMarks";
import { May } from "../session";

/** Beside the map: the place that is looked at, what to do tonight, what everything hangs on, the holes. */
export function MapAside({
  map,
  odds,
  gates,
  shown,
}: {
  map: Schemas["Map"];
  odds: Overview;
  gates?: Schemas["NarrowGates"];
  /** The place that is looked at; before any is, the one that most hangs on. */
  shown: string | undefined;
}) {
  const marks = useMarks(map, odds, gates);
  const id = shown ?? gates?.gates[0]?.situation ?? map.situations[0]?.id;
  return (
    <aside className="space-y-3 border-rule px-5 pt-2.5 pb-4 max-lg:border-t-2 max-lg:border-ink lg:border-l lg:px-4">
      <div className="max-lg:hidden">
        {id && <Shown id={id} map={map} odds={odds} {...marks.of(id)} hub={marks.hub(id)} />}
      </div>
      <Below map={map} gates={gates} />
      <Forced odds={odds} />
    </aside>
  );
}

const SHOWN = 3;

/** Drawn again when the hand rests, not while it moves. */
const Below = memo(function Below({ map, gates }: { map: Schemas["Map"]; gates?: Schemas["NarrowGates"] }) {
  const [params] = useSearchParams();
  const query = settingQuery(params);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-x-8 gap-y-3 mid:max-lg:grid-cols-[repeat(3,minmax(0,1fr))]">
      <May right="read-maps">
        <Tonight map={map} gates={gates} query={query} />
        <section aria-labelledby="hangs-on">
          <h2
            id="hangs-on"
            className="flex items-baseline justify-between border-b-2 border-ink pb-1 text-base lg:text-[15px]"
          >
            <Link className="no-underline hover:underline" to={paths.gates(map.id) + query}>
              Everything hangs on
            </Link>
            <span className="text-[13.5px] font-normal text-quiet">fewer without it</span>
          </h2>
          {!gates && <ComesLater />}
          {gates?.gates.slice(0, NARROW).map((gate) => (
            <Link
              key={gate.reaction}
              to={paths.situation(map.id, gate.situation) + query}
              className="flex min-h-11 items-center gap-2 border-b border-rule no-underline hover:underline lg:min-h-7"
            >
              <span aria-hidden="true" className="h-5 w-[9px] shrink-0 border border-ink bg-signal" />
              <span className="min-w-0 grow truncate">{reactionTitle(map, gate.reaction)}</span>
              <span className="font-semibold">−{tenths(gate.lost)}</span>
            </Link>
          ))}
        </section>
        <HolesBelow map={map} query={query} />
      </May>
      <p className="text-quiet mid:max-lg:col-span-3">{map.about}</p>
    </div>
  );
});

/** Stands in for what the server works out, while there is no network. */
function ComesLater() {
  const isAway = useSyncExternalStore(onAsOf, shownAsOf) !== undefined;
  return isAway && <p className="mt-1 text-quiet">The server works this out; it comes with the network.</p>;
}

/** What is missing and costs most. */
function HolesBelow({ map, query }: { map: Schemas["Map"]; query: string }) {
  const review = useReview(map);
  const open = (review.data ?? []).filter((finding) => !finding.dismissed);
  return (
    <section aria-labelledby="holes">
      <h2
        id="holes"
        className="flex items-baseline justify-between border-b-2 border-ink pb-1 text-base lg:text-[15px]"
      >
        <Link className="no-underline hover:underline" to={paths.holes(map.id) + query}>
          Holes
        </Link>
        <span className="text-[13.5px] font-normal text-quiet">more if mended</span>
      </h2>
      {!review.data && <ComesLater />}
      {review.data && open.length === 0 && (
        <p className="mt-1 text-quiet">Every answer of theirs has been answered.</p>
      )}
      {costliestOf(open, (finding) => findingPath(map, finding, query)).map(([path, finding]) => {
        const gain = tenths(finding.gain ?? 0);
        const { title } = findingPlace(map, finding);
        return (
          <Link
            key={path}
            to={path}
            title={finding.reason}
            className="mt-1.5 flex min-h-11 items-center gap-2 px-2 no-underline outline-1 outline-rust outline-dashed hover:underline lg:min-h-6"
          >
            <span className="min-w-0 grow truncate">{title}</span>
            {Number(gain) > 0 && <span className="font-semibold text-rust">+{gain}</span>}
          </Link>
        );
      })}
      {open.length > SHOWN && (
        <p className="mt-1.5">
          <Link className="word inline-flex items-center" to={paths.holes(map.id) + query}>
            All {open.length} and the questions
          </Link>
        </p>
      )}
    </section>
  );
}

/** The first few findings by where they lead, each place once. */
function costliestOf(
  findings: Schemas["Finding"][],
  path: (finding: Schemas["Finding"]) => string,
): [string, Schemas["Finding"]][] {
  const first = new Map<string, Schemas["Finding"]>();
  for (const finding of findings) {
    if (first.size === SHOWN) break;
    const leads = path(finding);
    if (!first.has(leads)) first.set(leads, finding);
  }
  return [...first];
}

/** What can be had from somebody who always finds the worst answer for you: "guard from 6 places". */
function Forced({ odds }: { odds: Overview }) {
  const kinds = rollup(
    Object.values(odds.situations).filter((at) => at.forced && !at.stop),
    (places) => places.length,
    (at) => at.forced!,
  );
  if (kinds.size === 0) return null;
  const told = [...kinds].map(([kind, places]) => `${KIND_LABEL[kind] ?? kind} from ${places} places`);
  return <p className="text-quiet">Whatever they do: {told.join(", ")}.</p>;
}
