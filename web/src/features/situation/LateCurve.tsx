import { line } from "d3-shape";
import { hundred, seconds } from "../../labels";

const WIDTH = 224;
const HEIGHT = 92;
const LEFT = 26;
const TOP = 8;
const BOTTOM = 18;

/** Worth against the seconds by which the student starts too late, with a mark where the setting stands. */
export function LateCurve({ delays, worth, now }: { delays: number[]; worth: number[]; now: number }) {
  const last = delays.at(-1) ?? 1;
  const most = Math.max(...worth, 0.01);
  const x = (delay: number) => LEFT + (delay / last) * (WIDTH - LEFT - 4);
  const y = (value: number) => TOP + (1 - value / most) * (HEIGHT - TOP - BOTTOM);
  const path = line<number>(
    (_, i) => x(delays[i]!),
    (value) => y(value),
  )(worth);
  const first = hundred(worth[0] ?? 0);
  const end = hundred(worth.at(-1) ?? 0);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={`${first} of 100 when you start at once, ${end} when you start ${seconds(last)} late.`}
      className="mt-1 w-full max-w-72 text-[13.5px]"
    >
      <line x1={LEFT} y1={y(0)} x2={WIDTH - 4} y2={y(0)} className="stroke-quiet" />
      {now <= last && (
        <line x1={x(now)} y1={TOP - 4} x2={x(now)} y2={y(0)} className="stroke-ink" strokeDasharray="2 3" />
      )}
      <path d={path ?? ""} className="fill-none stroke-green" strokeWidth={3} />
      <text x={LEFT - 6} y={y(worth[0] ?? 0) + 4} textAnchor="end" className="fill-ink font-semibold">
        {first}
      </text>
      {end < first - 12 && (
        <text x={LEFT - 6} y={y(worth.at(-1) ?? 0) + 4} textAnchor="end" className="fill-ink font-semibold">
          {end}
        </text>
      )}
      <text x={LEFT} y={HEIGHT - 3} className="fill-quiet">
        0 s
      </text>
      <text x={WIDTH - 4} y={HEIGHT - 3} textAnchor="end" className="fill-quiet">
        {seconds(last)}
      </text>
    </svg>
  );
}
