import type { Weight } from "./weight";
import { degrees, SIDE } from "./words";

type RoseData = NonNullable<Weight["rose"]>;

const R = 100;
const RINGS = [20, 40, 60];
/** No wider than this is shown: beyond it nobody is tipped. */
const MOST = 80;

/** How far before they tip, all round; turned as the picture is. Below nothing there is no way to go. */
export function Rose({ rose, weakest, changed }: { rose: RoseData; weakest: number; changed: boolean }) {
  const place = (angle: number, value: number) => {
    const r = (R * Math.max(0, Math.min(MOST, value))) / MOST;
    const a = (angle * Math.PI) / 180;
    return [r * Math.cos(a), -r * Math.sin(a)] as const;
  };
  const step = 360 / rose.spokes.length;
  const outline = (values: number[]) =>
    values
      .map((value, i) => place(i * step, value))
      .map(([x, y], i) => `${i ? "L" : "M"}${x.toFixed(1)} ${y.toFixed(1)}`)
      .join("") + "z";
  const now = outline(rose.spokes.map((s) => s.now));
  const first = outline(rose.spokes.map((s) => s.first));
  const [wx, wy] = place(rose.weakest, Math.max(weakest, 8));
  const [lx, ly] = place(rose.weakest, MOST * 1.02);
  return (
    <svg viewBox="-150 -128 300 256" className="w-full max-w-[330px]" role="img" aria-label={inWords(rose)}>
      {RINGS.map((ring) => (
        <circle
          key={ring}
          r={(R * ring) / MOST}
          fill="none"
          stroke="var(--edge)"
          strokeWidth="1"
          strokeDasharray="1 4"
        />
      ))}
      <path d={`M${-R} 0H${R}M0 ${-R}V${R}`} stroke="var(--rule)" strokeWidth="1" />
      <path d={now} fill="var(--body-they)" stroke="var(--ink)" strokeWidth="2" strokeLinejoin="round" />
      {changed && <path d={first} fill="none" stroke="var(--ink)" strokeWidth="1.4" strokeDasharray="5 4" />}
      {RINGS.map((ring) => (
        <text
          key={ring}
          x={(-R * ring * 0.64) / MOST}
          y={(R * ring * 0.78) / MOST + 4}
          fontSize="11"
          fill="var(--ink)"
          textAnchor="middle"
        >
          {ring}°
        </text>
      ))}
      <path d={`M0 0L${wx} ${wy}`} stroke="var(--ink)" strokeWidth="9" />
      <path d={`M0 0L${wx} ${wy}`} stroke="var(--signal)" strokeWidth="5.5" />
      <circle r="5" fill="var(--ink)" />
      <text
        x={lx * 1.1}
        y={ly * 1.1 + 5}
        fontSize="17"
        fontWeight="700"
        fill="var(--ink)"
        textAnchor={anchor(lx)}
      >
        {degrees(weakest)}
      </text>
      {rose.sides.map((side) => {
        const near = Math.abs(((side.angle - rose.weakest + 540) % 360) - 180) < 24;
        const [x, y] = place(side.angle, MOST);
        return near ? null : (
          <text
            key={side.way}
            x={x * 1.14}
            y={y * 1.14 + 4}
            fontSize="12"
            fill="var(--quiet)"
            textAnchor={anchor(x)}
          >
            {SIDE[side.way]}
          </text>
        );
      })}
    </svg>
  );
}

function anchor(x: number): "start" | "middle" | "end" {
  return x > 30 ? "start" : x < -30 ? "end" : "middle";
}

function inWords(rose: RoseData): string {
  const at = (angle: number) =>
    rose.spokes[Math.round(angle / (360 / rose.spokes.length)) % rose.spokes.length]!.now;
  return `Degrees before they tip: ${rose.sides.map((side) => `${SIDE[side.way]} ${degrees(at(side.angle))}`).join(", ")}.`;
}
