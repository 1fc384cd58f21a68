import type { Schemas } from "../../api/client";
import { hundred } from "../../labels";
import { placeTitle } from "../map";
import { seenOf, type Truth } from "./truth";

const SIZE = 150;
const LEFT = 26;
const MARK = 7;

/** How many places are numbered: those that are told of beside it. */
export const NUMBERED = 3;

/** What the map says along the foot, what was seen up the side: on the line the map is right. */
export function Reliability({ map, truth }: { map: Schemas["Map"]; truth: Truth }) {
  const x = (share: number) => LEFT + share * SIZE;
  const y = (share: number) => 6 + (1 - share) * SIZE;
  const off = truth.places.filter((one) => !one.agrees);
  const said = off
    .slice(0, NUMBERED)
    .map(
      (one) => `${placeTitle(map, one.place)}: map ${hundred(one.said)}, seen ${hundred(seenOf(one).share)}`,
    );
  return (
    <svg
      role="img"
      aria-label={`What the map says against what was seen, ${truth.places.length} places. ${
        said.length > 0
          ? `Furthest from the line: ${said.join("; ")}.`
          : "All lie on the line, as far as can be said."
      }`}
      viewBox={`0 0 ${LEFT + SIZE + 8} ${SIZE + 30}`}
      className="w-full max-w-[15rem] text-[13.5px]"
    >
      <rect x={LEFT} y={6} width={SIZE} height={SIZE} className="fill-lane" />
      <line x1={x(0)} y1={y(0)} x2={x(1)} y2={y(1)} className="stroke-ink" strokeWidth={1.2} />
      {truth.places.map((one) => {
        const at = off.indexOf(one);
        const wrong = at >= 0;
        return (
          <g key={one.place} className={wrong ? "fill-ink stroke-ink" : "fill-green stroke-green"}>
            <line
              x1={x(one.said)}
              x2={x(one.said)}
              y1={y(one.low)}
              y2={y(one.high)}
              strokeWidth={wrong ? 2.2 : 1.4}
              opacity={wrong ? 1 : 0.45}
            />
            <rect
              x={x(one.said) - MARK / 2}
              y={y(seenOf(one).share) - MARK / 2}
              width={MARK}
              height={MARK}
              stroke="none"
            />
            {wrong && at < NUMBERED && (
              <text x={x(one.said) + 7} y={y(seenOf(one).share) + 4.5} stroke="none" fontWeight={700}>
                {at + 1}
              </text>
            )}
          </g>
        );
      })}
      <g className="fill-quiet">
        <text x={LEFT - 4} y={15} textAnchor="end">
          100
        </text>
        <text x={LEFT - 4} y={SIZE + 6} textAnchor="end">
          0
        </text>
        <text x={LEFT} y={SIZE + 22}>
          map says
        </text>
        <text x={LEFT + SIZE} y={SIZE + 22} textAnchor="end">
          100
        </text>
        <text transform={`translate(${LEFT - 8} ${SIZE - 20}) rotate(-90)`}>seen</text>
      </g>
    </svg>
  );
}
