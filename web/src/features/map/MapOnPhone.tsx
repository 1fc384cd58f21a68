import { useState } from "react";
import type { Schemas } from "../../api/client";
import { hundred, STAGE_LABEL, STAGES } from "../../labels";
import { difference, Gate, narrowness } from "../../ui/Gate";
import type { Overview } from "../odds";
import type { Beside } from "./beside";
import { standingFor } from "./folding";
import { Key } from "./Key";
import { paths } from "./paths";
import { PlaceGate } from "./SituationGate";
import { useFollow, useMarks, usePlaces } from "./useMarks";

type Situation = Schemas["Situation"];

/** The map in one hand: a family is a row of four, each stage stood for by where most start; the rest opens under it. */
export function MapOnPhone({ map, odds, beside }: { map: Schemas["Map"]; odds: Overview; beside: Beside }) {
  const { soon, follow, query } = useFollow(map);
  const marks = useMarks(map, odds, undefined);
  const { byFamily, resting } = usePlaces(map);
  const gate = (s: Situation) => (
    <PlaceGate
      key={s.id}
      map={map.id}
      situation={s}
      odds={odds}
      beside={beside}
      query={query}
      marks={marks}
    />
  );
  const small = (s: Situation) => {
    const at = odds.situations[s.id];
    const was = beside.odds?.situations[s.id]?.worth;
    const by = at && was !== undefined ? difference(was, at.worth) : "";
    const learned = beside.learned?.places[s.id];
    return (
      at && (
        <a
          key={s.id}
          href={paths.situation(map.id, s.id) + query}
          data-situation={s.id}
          data-gate={s.stage ?? ""}
          data-aside={marks.of(s.id).aside || undefined}
          style={{ gridColumn: STAGES.indexOf(s.stage!) + 1 }}
          className={`block min-h-[68px] min-w-0 py-1 no-underline ${marks.of(s.id).hole ? "outline-1 outline-rust outline-dashed" : ""} ${marks.of(s.id).aside ? "opacity-35" : ""}`}
        >
          <span className="flex items-baseline justify-between gap-1">
            <span
              className={`text-[13.5px] ${s.stage === "last-chance" ? "text-rust" : "text-quiet"}`}
              style={{ fontStretch: "75%" }}
            >
              {STAGE_LABEL[s.stage!]}
            </span>
            <span className={learned?.tooLittle ? "text-quiet" : "font-semibold"} data-odds>
              {hundred(at.worth)}
            </span>
            {by && <span className="text-[13.5px] text-quiet">{by}</span>}
            <span className="sr-only"> of 100{learned?.tooLittle && ", too little to say"}: </span>
          </span>
          <Gate worth={at.worth} beside={was} doubt={learned} late={s.stage === "last-chance"} />
          <span className="line-clamp-2 pt-0.5 text-[13.5px] leading-[15px]" style={narrowness(at.worth)}>
            {s.title}
          </span>
        </a>
      )
    );
  };
  return (
    // One listener for all gates, which are links themselves and take the keys.
    // eslint-disable-next-line jsx-a11y-x/no-static-element-interactions, jsx-a11y-x/click-events-have-key-events
    <div onPointerDown={soon} onClick={follow}>
      {map.families.map((family) => {
        const here = byFamily.get(family.id) ?? [];
        if (here.length === 0) return null;
        const standing = standingFor(here);
        return (
          <Family
            key={family.id}
            title={family.title}
            more={here.length - standing.length}
            row={<div className="grid grid-cols-4 gap-x-2.5">{standing.map(small)}</div>}
            rest={here.filter((s) => !standing.includes(s)).map(gate)}
          />
        );
      })}
      {resting.length > 0 && (
        <Family title="You are there" more={resting.length} row={null} rest={resting.map(gate)} />
      )}
      <Key learned={beside.learned !== undefined} />
    </div>
  );
}

function Family({
  title,
  more,
  row,
  rest,
}: {
  title: string;
  more: number;
  row: React.ReactNode;
  rest: React.ReactNode;
}) {
  const [open, setOpen] = useState(false);
  return (
    <section aria-label={title} className="border-b border-rule">
      <div className="flex min-h-7 items-center justify-between">
        <h2 className="text-[15px]" style={{ fontStretch: "85%" }}>
          {title}
        </h2>
        {more > 0 && (
          <button
            type="button"
            className="word -my-2 min-h-11 pl-6"
            aria-expanded={open}
            onClick={(event) => {
              event.stopPropagation();
              setOpen(!open);
            }}
          >
            {open ? "fold" : `${more} more`}
            <span className="sr-only"> in {title}</span>
          </button>
        )}
      </div>
      {row}
      {open && <div className="border-t border-rule pb-1">{rest}</div>}
    </section>
  );
}
