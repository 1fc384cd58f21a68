import type { Levers } from "./levers";

/** A limb seen from the side: a rod with round ends. */
function Rod({
  points,
  wide,
  fill,
}: {
  points: readonly (readonly [number, number])[];
  wide: number;
  fill: string;
}) {
  const d = points.map(([x, y], i) => `${i ? "L" : "M"}${x} ${y}`).join("");
  return (
    <g strokeLinecap="round" strokeLinejoin="round" fill="none">
      <path d={d} stroke="var(--ink)" strokeWidth={wide + 1.1} />
      <path d={d} stroke={fill} strokeWidth={wide} />
    </g>
  );
}

/** A force: as long as it is strong. */
function Force({ x, y, dx, dy }: { x: number; y: number; dx: number; dy: number }) {
  const length = Math.hypot(dx, dy);
  if (length < 0.5) return null;
  const [ux, uy] = [dx / length, dy / length];
  const head = Math.min(4, length * 0.6);
  const [bx, by] = [x + dx - ux * head, y + dy - uy * head];
  return (
    <g>
      <path d={`M${x} ${y}L${bx} ${by}`} stroke="var(--ink)" strokeWidth="1.6" />
      <path
        d={`M${x + dx} ${y + dy}L${bx - uy * 2.2} ${by + ux * 2.2}L${bx + uy * 2.2} ${by - ux * 2.2}z`}
        fill="var(--ink)"
      />
    </g>
  );
}

function Joint({ x, y, r = 1.9 }: { x: number; y: number; r?: number }) {
  return <circle cx={x} cy={y} r={r} fill="var(--tape)" stroke="var(--body-edge)" strokeWidth="0.8" />;
}

/** Their limb that turns about one end, and what it takes to hold it there; lengths in centimetres. */
export function HeldLimb({
  hold,
  along,
  strongest,
  wide,
  near,
  far,
  says,
}: {
  hold: Levers["arm"];
  along: number;
  /** What the longest arrow stands for, kilograms. */
  strongest: number;
  wide: number;
  near: string;
  far: string;
  says: string;
}) {
  const scale = 62 / hold.length;
  const x = (share: number) => 10 + share * hold.length * scale;
  const force = (22 * Math.min(hold.needed, strongest)) / strongest;
  return (
    <svg viewBox="0 0 100 50" className="w-full max-w-[420px]" role="img" aria-label={says}>
      <Rod
        points={[
          [10, 18],
          [2, 2],
        ]}
        wide={wide * 1.15}
        fill="var(--body-they)"
      />
      <Rod
        points={[
          [x(0), 18],
          [x(1), 18],
        ]}
        wide={wide}
        fill="var(--body-they)"
      />
      <Rod
        points={[
          [x(1), 18],
          [x(1) + 9, 16.5],
        ]}
        wide={wide * 0.95}
        fill="var(--body-they)"
      />
      <Joint x={x(0)} y={18} />
      <path
        d={`M${x(1) + 16} 22a14 14 0 0 0 -3 -14`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="1"
        strokeDasharray="2 1.6"
      />
      <rect
        x={x(along) - 2.6}
        y={18 - wide / 2 - 2}
        width="5.2"
        height={wide + 4}
        fill="var(--green)"
        stroke="var(--ink)"
        strokeWidth="0.8"
      />
      <Force x={x(along)} y={18 + wide / 2 + 2} dx={0} dy={force} />
      <g fontSize="4.4" fill="var(--quiet)">
        <text x={x(0)} y={18 + wide / 2 + 8} textAnchor="middle">
          {near}
        </text>
        <text x={x(1)} y={18 - wide / 2 - 4} textAnchor="middle">
          {far}
        </text>
      </g>
    </svg>
  );
}

/** You on your back from the side, an arm set against a push. */
export function FrameDrawing({ frame, lean, says }: { frame: Levers["frame"]; lean: number; says: string }) {
  // To the right lies your head; centimetres.
  const at = (point: { head: number; up: number }) => [point.head, -point.up] as const;
  const [shoulder, elbow, wrist, meets] = frame.drawn.map(at);
  if (!shoulder || !elbow || !wrist || !meets) return null;
  const a = (lean * Math.PI) / 180;
  const [px, py] = [Math.sin(a), Math.cos(a)];
  return (
    <svg viewBox="-62 -86 104 104" className="w-full max-w-[420px]" role="img" aria-label={says}>
      <path d="M-62 13H42" stroke="var(--rule)" strokeWidth="2" />
      <Rod
        points={[
          [-48, 1],
          [-4, 0],
        ]}
        wide={19}
        fill="var(--body-you)"
      />
      <circle cx="20" cy="1" r="10" fill="var(--body-you)" stroke="var(--ink)" strokeWidth="1.1" />
      <path d="M23.4 -8.4A10 10 0 0 1 23.4 10.4A16 16 0 0 0 23.4 -8.4z" fill="var(--hair-you)" />
      <path
        d={`M${meets[0] - px * 70} ${meets[1] - py * 70}L${meets[0] + px * 90} ${meets[1] + py * 90}`}
        stroke="var(--ink)"
        strokeWidth="0.7"
        strokeDasharray="2 2"
      />
      <Rod points={[elbow, wrist]} wide={7} fill="var(--body-you)" />
      <Rod points={[shoulder, elbow]} wide={8.5} fill="var(--body-you)" />
      <Force x={meets[0] - px * 26} y={meets[1] - py * 26} dx={px * 21} dy={py * 21} />
      <Joint x={shoulder[0]} y={shoulder[1]} />
      <Joint x={elbow[0]} y={elbow[1]} />
      <g fontSize="4.4" fill="var(--quiet)">
        <text x="34" y="-14" textAnchor="middle">
          head
        </text>
        <text x="-54" y="-14" textAnchor="middle">
          hips
        </text>
        <text x={meets[0] - px * 24 - 5} y={meets[1] - py * 24} textAnchor="end">
          their push
        </text>
      </g>
    </svg>
  );
}

/** Somebody upright from the side, your shoulder driven into them. */
export function HipDrawing({ hip, above, says }: { hip: Levers["hip"]; above: number; says: string }) {
  const tilt = hip.turn === "down-on-you" ? -16 : hip.turn === "bent-back" ? 20 : 0;
  return (
    <svg viewBox="-46 -62 104 108" className="w-full max-w-[420px]" role="img" aria-label={says}>
      <path d="M-46 44H58" stroke="var(--rule)" strokeWidth="2" />
      <Rod
        points={[
          [14, 0],
          [15, 24],
          [12, 42],
        ]}
        wide={11}
        fill="var(--body-they)"
      />
      <g transform={`rotate(${tilt} 14 0)`}>
        <Rod
          points={[
            [14, -2],
            [14, -30],
          ]}
          wide={17}
          fill="var(--body-they)"
        />
        <circle cx="14" cy="-50" r="9" fill="var(--body-they)" stroke="var(--ink)" strokeWidth="1.1" />
        <path d="M14 -59A9 9 0 0 1 19.2 -42.6A14 14 0 0 1 14 -59z" fill="var(--hair-they)" />
      </g>
      <Joint x={14} y={0} r={2.6} />
      <path d="M22 0H54" stroke="var(--ink)" strokeWidth="0.6" strokeDasharray="2 2" />
      <Rod
        points={[
          [-37, 20 - above * 0.5],
          [-14, 1 - above],
        ]}
        wide={17}
        fill="var(--body-you)"
      />
      <g transform={`translate(-5 ${-above - 14})`}>
        <circle r="8" fill="var(--body-you)" stroke="var(--ink)" strokeWidth="1.1" />
        <path d="M-4.6 -6.6A8 8 0 0 0 -4.6 6.6A13 13 0 0 1 -4.6 -6.6z" fill="var(--hair-you)" />
      </g>
      <Force x={-6} y={-above} dx={14} dy={0} />
      <text x="43" y="-2.5" fontSize="4.4" fill="var(--quiet)" textAnchor="middle">
        hip bone
      </text>
    </svg>
  );
}
