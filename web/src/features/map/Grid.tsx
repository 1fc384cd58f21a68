import { group } from "d3-array";
import { memo, useMemo, useState, type MouseEvent, type ReactNode } from "react";
import { useNavigate, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { STAGE_LABEL, STAGES } from "../../labels";
import { Gate, narrowness, Odds } from "../../ui/Gate";
import { settingQuery, useOddsSoon, type Overview } from "../odds";
import { Explained, useExplained } from "./Explained";
import { useFilter } from "./Filters";
import { holesOf } from "./holes";
import { hubsOf, NARROW, shownBy } from "./marks";
import { moveBetweenGates } from "./moveBetweenGates";
import { paths } from "./paths";
import { Threads } from "./Threads";

const COLUMNS = "lg:grid-cols-[104px_repeat(4,minmax(0,1fr))]";

/** The families as rows, lateness as columns, every situation a gate; what stands behind a gate is told beside it. */
export const Grid = memo(function Grid({
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
  const [filter] = useFilter();
  const [params] = useSearchParams();
  const explained = useExplained();
  const narrow = useMemo(() => new Set(gates?.gates.slice(0, NARROW).map((gate) => gate.situation)), [gates]);
  const hubs = useMemo(() => hubsOf(map), [map]);
  const shown = useMemo(() => shownBy(map, filter), [map, filter]);
  const holes = useMemo(() => holesOf(map, odds), [map, odds]);
  const byFamily = useMemo(() => group(map.situations, (s) => s.family), [map]);
  const navigate = useNavigate();
  const soon = useOddsSoon(map);
  // As the address has it: following the hand, every link would be drawn again at every step.
  const query = useMemo(() => settingQuery(params), [params]);
  // One listener for all gates: a link of the router each would be drawn again at every move of a slider.
  const follow = (event: MouseEvent) => {
    const link = (event.target as HTMLElement).closest<HTMLAnchorElement>("a[data-situation]");
    if (!link || event.button !== 0 || event.ctrlKey || event.metaKey || event.shiftKey || event.altKey)
      return;
    event.preventDefault();
    void navigate(paths.situation(map.id, link.dataset.situation!) + settingQuery(params));
  };
  const gate = (situation: Schemas["Situation"]) => {
    const at = odds.situations[situation.id];
    return (
      at && (
        <SituationGate
          key={situation.id}
          id={situation.id}
          title={situation.title}
          stage={situation.stage}
          to={paths.situation(map.id, situation.id) + query}
          worth={at.worth}
          before={was?.situations[situation.id]?.worth}
          hole={holes.get(situation.id)}
          narrow={narrow.has(situation.id)}
          hub={hubs.has(situation.id)}
          aside={shown !== undefined && !shown.has(situation.id)}
        />
      )
    );
  };
  return (
    // One listener for all gates, which are links themselves and take the keys.
    // eslint-disable-next-line jsx-a11y-x/no-static-element-interactions
    <div onKeyDown={moveBetweenGates} onPointerDown={soon} onClick={follow} {...explained.listeners}>
      <div className={`hidden gap-x-4 py-0.5 text-quiet lg:grid ${COLUMNS}`}>
        <span />
        {STAGES.map((stage) => (
          <span key={stage} className="font-semibold">
            {STAGE_LABEL[stage]}
          </span>
        ))}
      </div>
      {map.families.map((family) => (
        <FamilyRow
          key={family.id}
          title={family.title}
          here={byFamily.get(family.id) ?? []}
          aside={asideIn(
            byFamily.get(family.id) ?? [],
            (s) => holes.has(s.id) || narrow.has(s.id) || hubs.has(s.id),
          )}
          gate={gate}
        />
      ))}
      {explained.at && <Threads map={map} gate={explained.at.gate} situation={explained.at.situation} />}
      {explained.at && (
        <Explained
          at={explained.at}
          map={map}
          odds={odds}
          hole={holes.get(explained.at.situation)}
          narrow={narrow.has(explained.at.situation)}
          hub={hubs.get(explained.at.situation)}
          aside={shown !== undefined && !shown.has(explained.at.situation)}
        />
      )}
    </div>
  );
});

function FamilyRow({
  title,
  here: all,
  aside,
  gate,
}: {
  title: string;
  here: Schemas["Situation"][];
  /** Ids of those that are folded away until they are asked for. */
  aside: Set<string>;
  gate: (situation: Schemas["Situation"]) => ReactNode;
}) {
  const [open, setOpen] = useState(false);
  if (all.length === 0) return null;
  const here = open ? all : all.filter((s) => !aside.has(s.id));
  // Places to rest in are no stages of one hold: they stand side by side, so that the whole map stays on one screen.
  const apart = here.filter((s) => !s.stage);
  const staged = here.filter((s) => s.stage);
  const resting = staged.every((s) => s.rest);
  return (
    <section
      className={`grid gap-x-4 border-t border-rule py-2 lg:py-px ${COLUMNS} ${here.length > OFF_SCREEN ? "off-screen" : ""}`}
      aria-label={title}
    >
      <div>
        <h2 className="text-base lg:pt-[3px] lg:text-[14px] lg:leading-[16px]" style={{ fontStretch: "80%" }}>
          {title}
        </h2>
        {staged.length === 0 && <Resting />}
        {aside.size > 0 && (
          <button
            type="button"
            className="word min-h-11 text-left text-quiet lg:min-h-0 lg:text-[13.5px] lg:leading-[16px]"
            aria-expanded={open}
            onClick={(event) => {
              event.stopPropagation();
              setOpen(!open);
            }}
          >
            {open ? "fold them" : `${aside.size} on the way`}
          </button>
        )}
      </div>
      {resting ? (
        <div className={ACROSS}>{here.map(gate)}</div>
      ) : (
        <>
          {STAGES.map((stage) => {
            const at = staged.filter((s) => s.stage === stage);
            return (
              <div key={stage} className="min-w-0">
                {at.length > 0 && (
                  <h3 className="mt-2 text-base text-quiet lg:sr-only lg:text-[14px]">
                    {STAGE_LABEL[stage]}
                  </h3>
                )}
                {at.map(gate)}
              </div>
            );
          })}
          {apart.length > 0 && (
            <>
              <div className="max-lg:mt-2">
                <Resting />
              </div>
              <div className={ACROSS}>{apart.map(gate)}</div>
            </>
          )}
        </>
      )}
    </section>
  );
}

/**
 * Places that are only passed through: nobody starts or rests there and nothing is marked on them. Folded away where there
 * are several, so that the whole map stays on one screen.
 */
export function asideIn(
  here: Schemas["Situation"][],
  isMarked: (situation: Schemas["Situation"]) => boolean,
): Set<string> {
  const passed = here.filter((s) => s.entry === 0 && !s.rest && s.stage !== "last-chance" && !isMarked(s));
  return new Set(passed.length > 1 && passed.length < here.length ? passed.map((s) => s.id) : []);
}

/** Side by side under all four columns, as they belong to none. */
const ACROSS = "grid min-w-0 grid-flow-row gap-x-4 lg:col-span-4 lg:grid-cols-subgrid";

/** Beside places that stand in no column of lateness, though they lie under one. */
function Resting() {
  return <p className="text-quiet lg:text-[13.5px] lg:leading-[16px]">to rest in</p>;
}

/** A row of more places than this is laid out only once it comes near the screen. */
const OFF_SCREEN = 60;

/** Drawn again only when something of its own changed: a map may have thousands, and all are solved anew at every touch. */
const SituationGate = memo(function SituationGate({
  id,
  title,
  stage,
  to,
  worth,
  before,
  hole,
  narrow,
  hub,
  aside,
}: {
  id: string;
  title: string;
  stage: Schemas["Situation"]["stage"];
  to: string;
  worth: number;
  before?: number;
  hole?: string;
  narrow: boolean;
  hub: boolean;
  aside: boolean;
}) {
  return (
    <a
      href={to}
      data-gate={stage ?? ""}
      data-situation={id}
      data-aside={aside || undefined}
      className={`relative -mx-1.5 block px-1.5 no-underline hover:bg-lane/60 max-lg:py-2 lg:h-[19px] tall:lg:h-[24px] tall:lg:pt-0.5 ${hole ? "outline-1 -outline-offset-1 outline-rust outline-dashed" : ""} ${aside ? "opacity-35" : ""}`}
    >
      <span className="flex items-baseline justify-between gap-2">
        <span
          className="min-w-0 truncate leading-[19px] lg:leading-[14px] tall:lg:leading-[17px]"
          style={narrowness(worth)}
        >
          {hub && <span aria-hidden="true" className="mr-1 inline-block size-[9px] border-2 border-ink" />}
          {title}
        </span>
        <Odds
          worth={worth}
          was={before}
          className="leading-[19px] lg:leading-[14px] tall:lg:leading-[17px]"
        />
      </span>
      <Gate worth={worth} late={stage === "last-chance"} height={5} />
      {narrow && (
        <>
          <span aria-hidden="true" className="absolute inset-y-0.5 left-0 w-1 bg-signal" />
          <span className="sr-only">. Much hangs on this.</span>
        </>
      )}
      {hub && <span className="sr-only">. Hub.</span>}
      {hole && <span className="sr-only">. {hole}</span>}
    </a>
  );
});
