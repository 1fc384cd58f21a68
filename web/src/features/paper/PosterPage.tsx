import { useState } from "react";
import { useParams, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { hundred, lateness, seconds } from "../../labels";
import { Gate, narrowness } from "../../ui/Gate";
import { NotSolved } from "../../ui/Notice";
import { useAddress } from "../../ui/address";
import { lowerFirst, paths, placeTitle, techniqueOf, useMap } from "../map";
import { settingQuery, useOdds, type OddsData } from "../odds";
import { PlacePicture } from "../picture";
import { indexOf } from "../../model/mapIndex";
import { Fit } from "./Fit";
import { PrintBar } from "./PrintBar";
import { SettingLine } from "./SettingLine";
import { Sheet } from "./Sheet";
import { corner, mostOften, posterOf, ROOM, routes, type Point, type Poster } from "./poster";
import { Heading } from "../../ui/Heading";
import { together, Waiting } from "../../ui/Waiting";

const SIZES = [24, 22, 20, 18, 16, 15, 14, 13, 12, 11, 10.5, 10, 9.5, 9, 8.5, 8, 7.5, 7, 6.5, 6];

/** From this width on, in millimetres, a tile has room for how the first answer is done. */
const LARGE = 90;

/** A family of places on one large sheet for the wall: pictures, gates, what you do, where it leads, what to leave alone. */
export function PosterPage() {
  const { family: id = "" } = useParams();
  const map = useMap();
  const odds = useOdds(map.data);
  const [params] = useSearchParams();
  const [, write] = useAddress();
  const ready = together({ map, odds });
  if (!ready.data) return <Waiting what="Drawing the poster" on={ready} />;
  const data = ready.data;
  if (!data.odds.converged) return <NotSolved />;
  const family = indexOf(data.map).family(id);
  if (!family) return <main className="p-5">This family has been taken out.</main>;
  const size = params.get("size") === "a2" ? "a2" : "a3";
  const poster = posterOf(data.map, id, data.odds.situations);
  return (
    <main className="paper-view">
      <Heading size="unseen">Wall poster: {family.title}</Heading>
      <PrintBar back={paths.booklet(data.map.id) + settingQuery(params)} what="booklet and posters">
        <label className="flex items-center gap-2">
          <span className="text-quiet">Paper</span>
          <select
            className="box w-auto!"
            value={size}
            onChange={(event) => write({ size: event.target.value })}
          >
            <option value="a3">A3</option>
            <option value="a2">A2</option>
          </select>
        </label>
      </PrintBar>
      <Sheet paper={size}>
        <div className="relative flex size-full flex-col">
          <header className="flex h-[18mm] items-start justify-between gap-[10mm]">
            <h2 className="text-[36pt] leading-none font-bold" style={{ fontStretch: "82%" }}>
              {family.title}
            </h2>
            <Legend />
          </header>
          <div className="relative" style={{ height: `${ROOM.height}mm` }}>
            <Links poster={poster} />
            {poster.tiles.map((tile) => {
              const [left, top] = corner(poster, tile).map((at) => `${at}mm`);
              const { situation } = tile;
              return (
                <div
                  key={situation.id}
                  className="absolute"
                  style={{ left, top, width: `${poster.width}mm`, height: `${poster.height}mm` }}
                >
                  <Place
                    map={data.map}
                    situation={situation}
                    at={data.odds.situations[situation.id]!}
                    tall={poster.height > poster.width * 1.1}
                    large={poster.width > LARGE}
                  />
                </div>
              );
            })}
          </div>
          <div className="mt-auto text-[8.5pt]">
            <SettingLine map={data.map} />
          </div>
        </div>
      </Sheet>
    </main>
  );
}

function Legend() {
  return (
    <div className="grid grid-cols-[14mm_auto_14mm_auto] items-center gap-x-[3mm] gap-y-[1mm] pt-[1mm] text-[9pt]">
      <Line kind="answer" />
      <span>where the first answer leads most often</span>
      <Gate worth={0.5} height={10} />
      <span>of 100 that start here, so many get out</span>
      <Line kind="clock" />
      <span>what comes of doing nothing</span>
      <span className="border-l-[1.2mm] border-signal pl-[2mm]" aria-hidden="true">
        &nbsp;
      </span>
      <span>tap early, let go at once; a pin alone is reason enough</span>
    </div>
  );
}

function Line({ kind }: { kind: "clock" | "answer" }) {
  return (
    <svg viewBox="0 0 14 3" className="w-full" aria-hidden="true">
      <line x1="0" x2="14" y1="1.5" y2="1.5" {...STROKE[kind]} />
    </svg>
  );
}

const STROKE = {
  answer: { stroke: "var(--green)", strokeWidth: 0.8 },
  clock: { stroke: "var(--ink)", strokeWidth: 0.5, strokeDasharray: "1.6 1" },
};

function Links({ poster }: { poster: Poster }) {
  return (
    <svg
      viewBox={`0 0 ${ROOM.width} ${ROOM.height}`}
      className="absolute inset-0 size-full overflow-visible"
      aria-hidden="true"
    >
      {routes(poster).map((route, at) => {
        const { kind } = poster.links[at]!;
        return (
          <g key={at}>
            <polyline points={route.map((p) => p.join(",")).join(" ")} fill="none" {...STROKE[kind]} />
            <path d={head(route.at(-1)!)} fill={STROKE[kind].stroke} />
          </g>
        );
      })}
    </svg>
  );
}

/** The point of an arrow that comes from the left. */
function head([x, y]: Point): string {
  return `M ${x} ${y} l -2.2 -1.3 v 2.6 z`;
}

function Place({
  map,
  situation,
  at,
  tall,
  large,
}: {
  map: Schemas["Map"];
  situation: Schemas["Situation"];
  at: OddsData["situations"][string];
  /** There is more room under the picture than beside it. */
  tall: boolean;
  large: boolean;
}) {
  const answers = at.reactions.filter((r) => r.usable);
  const [told, tell] = useState(2);
  const best = answers.slice(0, told);
  const more = answers.length - best.length;
  const cautions = new Set(
    answers.slice(0, 2).flatMap((r) => techniqueOf(map, indexOf(map).reaction(r.reaction))?.cautions ?? []),
  );
  return (
    <article aria-label={situation.title} className="size-full border border-edge bg-ground p-[2mm]">
      <Fit
        sizes={SIZES}
        className="flex size-full flex-col gap-[0.4em]"
        onTooMuch={told > 1 ? () => tell(1) : undefined}
      >
        <p className="text-[0.9em] leading-none text-quiet">{lateness(situation)}</p>
        <h3 className="flex items-baseline gap-[0.6em] text-[1.25em] leading-tight">
          <span className="min-w-0 grow" style={narrowness(at.worth)}>
            {situation.title}
          </span>
          <span className="font-bold">{hundred(at.worth)}</span>
        </h3>
        <Gate worth={at.worth} late={situation.stage === "last-chance"} height={9} className="shrink-0" />
        <div
          className={`grid shrink-0 grow gap-[0.8em] ${tall ? "grid-rows-[minmax(24mm,1fr)_auto]" : "grid-cols-[45%_minmax(0,1fr)]"}`}
        >
          <div className="relative min-h-[18mm]">
            <PlacePicture
              map={map}
              place={situation.id}
              width={150}
              className="absolute inset-0 size-full"
              silent
            />
          </div>
          <div className="space-y-[0.3em]">
            {at.stop && <p className="font-semibold">Staying is best here.</p>}
            {answers.length === 0 && !at.stop && <p>Nothing is open to this pair here.</p>}
            {best.map((odds, index) => {
              const to = mostOften(odds);
              const technique = techniqueOf(map, indexOf(map).reaction(odds.reaction));
              return (
                <div key={odds.reaction}>
                  <p>
                    <span className="font-semibold">
                      {index + 1} {technique?.title}
                    </span>
                    {to && <> → {lowerFirst(placeTitle(map, to))}</>}
                  </p>
                  {large && index === 0 && (
                    <ol className="list-decimal pl-[1.4em]">
                      {technique?.checkpoints.map((line) => (
                        <li key={line}>{line}</li>
                      ))}
                    </ol>
                  )}
                </div>
              );
            })}
            {more > 0 && <p className="text-quiet">{more} more on its card.</p>}
          </div>
        </div>
        {situation.clock && (
          <p className="text-quiet">
            After {seconds(situation.clock.seconds)} of nothing:{" "}
            {lowerFirst(placeTitle(map, situation.clock.becomes))}.
          </p>
        )}
        {indexOf(map)
          .mistakesFrom(situation.id)
          .map((mistake) => (
            <p key={mistake.id} className="border-l-[0.35em] border-rust pl-[0.6em]">
              <span className="font-semibold text-rust">Do not</span>{" "}
              {lowerFirst(techniqueOf(map, mistake)?.title ?? mistake.technique)}
              {mistake.responses[0]?.leads && (
                <> → {lowerFirst(placeTitle(map, mistake.responses[0].leads))}</>
              )}
              .
            </p>
          ))}
        {[...cautions].map((caution) => (
          <p key={caution} className="border-l-[0.35em] border-signal pl-[0.6em]">
            {caution}
          </p>
        ))}
      </Fit>
    </article>
  );
}
