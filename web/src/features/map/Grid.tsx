import { memo, useState, type ReactNode } from "react";
import type { Schemas } from "../../api/client";
import { STAGE_LABEL, STAGES } from "../../labels";
import { useMedia } from "../../ui/media";
import type { Overview } from "../odds";
import type { Beside } from "./beside";
import type { ExplainedGate } from "./explained";
import { foldedIn } from "./folding";
import { Key } from "./Key";
import { moveBetweenGates } from "./moveBetweenGates";
import { PlaceGate } from "./SituationGate";
import { Threads } from "./Threads";
import { useFollow, useMarks, usePlaces } from "./useMarks";

const COLUMNS = "grid-cols-[84px_repeat(4,minmax(0,1fr))] lg:grid-cols-[112px_repeat(4,minmax(0,1fr))]";

/** A row of more places than this is laid out only once it comes near the screen. */
const OFF_SCREEN = 60;

/** As many places stand under each other before the smaller ones are folded away, with little and with much height. */
const ROWS = { low: 3, tall: 6 };

function useRows(): number {
  return useMedia("(min-height: 60rem)", false) ? ROWS.tall : ROWS.low;
}

/** The families as rows, lateness as columns, every situation a gate; places to rest in are a strip of their own. */
export const Grid = memo(function Grid({
  map,
  odds,
  beside,
  gates,
  explained,
}: {
  map: Schemas["Map"];
  odds: Overview;
  beside: Beside;
  gates?: Schemas["NarrowGates"];
  explained: ExplainedGate;
}) {
  const marks = useMarks(map, odds, gates);
  const { soon, follow, query } = useFollow(map);
  const rows = useRows();
  const isDesk = useMedia("(min-width: 64rem)", true);
  const { byFamily, resting } = usePlaces(map);
  const gate = (situation: Schemas["Situation"], close = false) => (
    <PlaceGate
      key={situation.id}
      map={map.id}
      situation={situation}
      odds={odds}
      beside={beside}
      query={query}
      marks={marks}
      shown={explained.at?.situation === situation.id}
      close={close || !isDesk}
    />
  );
  return (
    // One listener for all gates, which are links themselves and take the keys.
    // eslint-disable-next-line jsx-a11y-x/no-static-element-interactions
    <div onKeyDown={moveBetweenGates} onPointerDown={soon} onClick={follow} {...explained.listeners}>
      <div className={`grid gap-x-6 text-quiet ${COLUMNS}`}>
        <span />
        {STAGES.map((stage) => (
          <span
            key={stage}
            className={`leading-5 font-semibold ${stage === "last-chance" ? "text-rust" : "text-ink"}`}
          >
            {STAGE_LABEL[stage]}
          </span>
        ))}
      </div>
      {map.families.map((family) => {
        const here = byFamily.get(family.id) ?? [];
        return (
          <FamilyRow
            key={family.id}
            title={family.title}
            here={here}
            folded={foldedIn(here, (s) => marks.isMarked(s.id), rows)}
            gate={gate}
          />
        );
      })}
      {resting.length > 0 && (
        <section
          aria-label="You are there"
          className="grid grid-cols-[84px_minmax(0,1fr)] gap-x-6 border-t-2 border-ink lg:grid-cols-[112px_minmax(0,1fr)]"
        >
          <h2 className="pt-[3px] text-[14px] leading-[16px]" style={{ fontStretch: "80%" }}>
            You are there
          </h2>
          <div className="grid grid-cols-4 gap-x-6 wide:grid-cols-6">{resting.map((s) => gate(s, true))}</div>
        </section>
      )}
      <Key learned={beside.learned !== undefined} />
      {explained.at && <Threads map={map} gate={explained.at.gate} situation={explained.at.situation} />}
    </div>
  );
});

function FamilyRow({
  title,
  here: all,
  folded,
  gate,
}: {
  title: string;
  here: Schemas["Situation"][];
  /** Ids of those that are folded away until they are asked for. */
  folded: Set<string>;
  gate: (situation: Schemas["Situation"]) => ReactNode;
}) {
  const [open, setOpen] = useState(false);
  if (all.length === 0) return null;
  const here = open ? all : all.filter((s) => !folded.has(s.id));
  const shown = all.filter((s) => !folded.has(s.id));
  // Where the row is no higher than the name there is no room under it.
  const isOneRow = STAGES.every((stage) => shown.filter((s) => s.stage === stage).length <= 1);
  const small = `${folded.size} small ${folded.size === 1 ? "one" : "ones"}`;
  return (
    <section
      className={`grid gap-x-6 border-t border-rule ${COLUMNS} ${here.length > OFF_SCREEN ? "off-screen" : ""}`}
      aria-label={title}
    >
      <div className="relative min-w-0">
        <h2 className="pt-[3px] text-[14px] leading-[16px]" style={{ fontStretch: "80%" }}>
          {title}
        </h2>
        {folded.size > 0 && (
          <button
            type="button"
            className={`word min-h-11 text-left text-[13.5px] leading-[16px] lg:min-h-6 ${isOneRow ? "lg:absolute lg:top-0 lg:right-0 lg:min-w-6" : ""}`}
            aria-expanded={open}
            onClick={(event) => {
              event.stopPropagation();
              setOpen(!open);
            }}
          >
            {open ? (isOneRow ? "fold" : "fold them") : isOneRow ? `+${folded.size}` : small}
            <span className="sr-only"> in {title}</span>
          </button>
        )}
      </div>
      {STAGES.map((stage) => (
        <div key={stage} className="min-w-0">
          <h3 className="sr-only">{STAGE_LABEL[stage]}</h3>
          {here.filter((s) => s.stage === stage).map((s) => gate(s))}
        </div>
      ))}
    </section>
  );
}
