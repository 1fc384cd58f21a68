import { memo } from "react";
import type { Schemas } from "../../api/client";
import { difference, Gate, narrowness } from "../../ui/Gate";
import { hundred } from "../../labels";
import type { Overview } from "../odds";
import type { Beside } from "./beside";
import { paths } from "./paths";
import type { Marks } from "./useMarks";

/** The gate of a place as the map has it now; nothing where it is not solved. */
export function PlaceGate({
  map,
  situation,
  odds,
  beside,
  query,
  marks,
  shown = false,
  close,
}: {
  map: string;
  situation: Schemas["Situation"];
  odds: Overview;
  beside: Beside;
  query: string;
  marks: Marks;
  shown?: boolean;
  close?: boolean;
}) {
  const { id, title, stage } = situation;
  const at = odds.situations[id];
  if (!at) return null;
  return (
    <SituationGate
      map={map}
      id={id}
      title={title}
      stage={stage}
      query={query}
      worth={at.worth}
      beside={beside.odds?.situations[id]?.worth}
      isOther={beside.pair !== undefined}
      low={beside.learned?.places[id]?.low}
      high={beside.learned?.places[id]?.high}
      unsure={beside.learned?.places[id]?.tooLittle}
      shown={shown}
      close={close}
      {...marks.of(id)}
    />
  );
}

/** Of more letters than this a title is set as narrow as can be read, so that it is not cut. */
const LONG = 25;

/** Drawn again only when something of its own changed: a map may have thousands, and all are solved anew at every touch. */
const SituationGate = memo(function SituationGate({
  map,
  id,
  title,
  stage,
  query,
  worth,
  beside,
  isOther,
  low,
  high,
  unsure,
  shown,
  close = false,
  hole,
  narrow,
  hub,
  rises,
  aside,
}: {
  map: string;
  id: string;
  title: string;
  stage: Schemas["Situation"]["stage"];
  query: string;
  worth: number;
  beside?: number;
  /** It is laid beside another pair, whose difference is told; else beside itself as it was, and its own is. */
  isOther: boolean;
  /** Between what the odds lie, where that is known; two numbers, so that it is drawn anew only when they change. */
  low?: number;
  high?: number;
  /** They lie too far apart to say anything. */
  unsure?: boolean;
  shown: boolean;
  /** There is little width for it. */
  close?: boolean;
  hole?: string;
  narrow: boolean;
  hub: boolean;
  rises?: string;
  aside: boolean;
}) {
  const by = beside === undefined ? "" : isOther ? difference(worth, beside) : difference(beside, worth);
  return (
    <a
      href={paths.situation(map, id) + query}
      data-gate={stage ?? ""}
      data-situation={id}
      data-aside={aside || undefined}
      className={`relative -mx-1.5 flex min-h-11 flex-col justify-center px-1.5 no-underline hover:bg-lane/60 lg:h-6 lg:min-h-6 tall:lg:h-7 tall:lg:text-[15px] ${hole ? "outline-1 -outline-offset-1 outline-rust outline-dashed" : ""} ${shown ? "lg:outline-2 lg:-outline-offset-1 lg:outline-ink lg:outline-solid" : ""} ${aside ? "opacity-35" : ""}`}
    >
      <span className="flex items-baseline justify-between gap-1.5 leading-5 lg:leading-[15px] tall:lg:leading-[17px]">
        <span
          className={`flex min-w-0 items-baseline gap-1 ${title.length > LONG ? "max-wide:[font-stretch:70%]!" : ""}`}
          style={close ? { fontStretch: "70%" } : narrowness(worth)}
        >
          {hub && <span aria-hidden="true" className="size-[9px] shrink-0 border-2 border-ink" />}
          <span className="truncate mid:max-lg:line-clamp-2 mid:max-lg:leading-4 mid:max-lg:whitespace-normal">
            {title}
          </span>
          {rises && (
            <b aria-hidden="true" className="shrink-0">
              ↗
            </b>
          )}
          {hole && (
            <span aria-hidden="true" className="shrink-0 font-semibold text-rust">
              hole
            </span>
          )}
        </span>
        <span className="whitespace-nowrap">
          <span className={unsure ? "text-quiet" : "font-semibold"} data-odds>
            {hundred(worth)}
          </span>
          <span className="sr-only"> of 100{unsure && ", too little to say"}</span>
        </span>
      </span>
      <Gate
        worth={worth}
        beside={beside}
        doubt={low !== undefined && high !== undefined ? { low, high } : undefined}
        late={stage === "last-chance"}
      />
      {by && (
        // In the gap beside its column, so that no name is cut and nothing moves.
        <span
          className="absolute top-0 left-full -ml-1 text-[13.5px] leading-[15px] text-quiet max-lg:leading-8"
          style={{ fontStretch: "70%" }}
        >
          <span className="sr-only">, </span>
          {by}
        </span>
      )}
      {narrow && (
        <>
          <span
            aria-hidden="true"
            className="absolute inset-y-0.5 -left-1 w-[7px] border border-ink bg-signal"
          />
          <span className="sr-only">. Much hangs on this.</span>
        </>
      )}
      {hub && <span className="sr-only">. Hub.</span>}
      {rises && <span className="sr-only">. Rises here, check: “{rises}” is worth less.</span>}
      {hole && <span className="sr-only">. {hole}</span>}
    </a>
  );
});
