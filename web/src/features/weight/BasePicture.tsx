import type { Schemas } from "../../api/client";
import { TwoBodies } from "../../ui/body/TwoBodies";
import type { Weight } from "./weight";
import { postsInWords } from "./words";

type Point = Schemas["WeightPoint"];

const path = (points: readonly Point[]) => points.map((p, i) => `${i ? "L" : "M"}${p.x} ${p.y}`).join("");

/** The two bodies with what the top player stands on: tape for the base, yellow for the side over which they tip first. */
export function BasePicture({
  weight,
  held,
  title,
  width,
  className,
}: {
  weight: Weight;
  held: Record<string, string>;
  title: string;
  /** About how wide it is shown, in pixels. */
  width: number;
  className?: string;
}) {
  const { marks, drawing } = weight;
  const picture = { ...drawing, title, says: weight.says, near: weight.near, drawing: "", swapped: false };
  // A pixel in units of the picture: marks keep their size.
  const pixel = drawing.width / width;
  const bare = marks.base.length === 0;
  return (
    <TwoBodies
      picture={picture}
      held={held}
      says={[weight.says, postsInWords(marks.posts)].filter(Boolean).join(" ")}
      width={width}
      className={className}
      under={!bare && <Edged d={`${path(marks.first)}z`} edge={TAPE_EDGE} wide={5} colour="var(--tape)" />}
      over={
        <>
          {!bare && (
            <path
              d={`${path(marks.base)}z`}
              stroke="var(--ink)"
              strokeWidth="1.6"
              strokeDasharray="6 4"
              vectorEffect="non-scaling-stroke"
            />
          )}
          {marks.weakest.length === 2 && (
            <Edged
              d={path(marks.weakest)}
              edge={{ wide: 9, colour: "var(--body-edge)" }}
              wide={5.5}
              colour="var(--signal)"
            />
          )}
          {marks.posts.map((post, place) =>
            post.taken ? (
              <Cross key={place} at={post.at} size={5 * pixel} />
            ) : (
              <circle
                key={place}
                cx={post.at.x}
                cy={post.at.y}
                r={4.2 * pixel}
                fill="var(--tape)"
                stroke="var(--body-edge)"
                strokeWidth="1.8"
                vectorEffect="non-scaling-stroke"
              />
            ),
          )}
          <Centre marks={marks} pixel={pixel} />
        </>
      }
    />
  );
}

interface Line {
  wide: number;
  colour: string;
}

const TAPE_EDGE: Line = { wide: 8, colour: "var(--body-edge)" };
/** What a thin dark line has on both sides, so that it is seen on a dark body, too. */
const HALO: Line = { wide: 5, colour: "var(--tape)" };

/** A line with an edge in another colour, both as wide in every size of the picture. */
function Edged({ d, edge, wide, colour, dash }: { d: string; edge: Line; dash?: string } & Line) {
  return (
    <g strokeLinejoin="round">
      <path d={d} stroke={edge.colour} strokeWidth={edge.wide} vectorEffect="non-scaling-stroke" />
      <path
        d={d}
        stroke={colour}
        strokeWidth={wide}
        strokeDasharray={dash}
        vectorEffect="non-scaling-stroke"
      />
    </g>
  );
}

function Cross({ at, size }: { at: Point; size: number }) {
  const d = `M${at.x - size} ${at.y - size}l${2 * size} ${2 * size}M${at.x + size} ${at.y - size}l${-2 * size} ${2 * size}`;
  return <Edged d={d} edge={HALO} wide={2.4} colour="var(--body-edge)" />;
}

/** Where their weight is, the mat under it, and the way they go. */
function Centre({ marks, pixel }: { marks: Weight["marks"]; pixel: number }) {
  const { centre, foot, tip } = marks;
  const r = 9 * pixel;
  const plumb = `M${centre.x} ${centre.y}L${foot.x} ${foot.y}`;
  return (
    <g>
      <Edged d={plumb} edge={HALO} wide={2} colour="var(--body-edge)" dash="4 3" />
      {tip && <Arrow from={foot} to={tip} pixel={pixel} />}
      <circle cx={foot.x} cy={foot.y} r={4 * pixel} fill="var(--body-edge)" />
      <circle
        cx={centre.x}
        cy={centre.y}
        r={r}
        fill="var(--tape)"
        stroke="var(--body-edge)"
        strokeWidth="2"
        vectorEffect="non-scaling-stroke"
      />
      <path
        d={`M${centre.x} ${centre.y}v${-r}a${r} ${r} 0 0 1 ${r} ${r}zM${centre.x} ${centre.y}v${r}a${r} ${r} 0 0 1 ${-r} ${-r}z`}
        fill="var(--body-edge)"
      />
    </g>
  );
}

function Arrow({ from, to, pixel }: { from: Point; to: Point; pixel: number }) {
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  if (length < 1) return null;
  const ux = (to.x - from.x) / length;
  const uy = (to.y - from.y) / length;
  const head = 13 * pixel;
  const wide = 5.5 * pixel;
  const back = { x: to.x - ux * head, y: to.y - uy * head };
  return (
    <g>
      <path d={path([from, back])} stroke="var(--tape)" strokeWidth="6" vectorEffect="non-scaling-stroke" />
      <Edged d={path([from, back])} edge={HALO} wide={2.6} colour="var(--body-edge)" />
      <path
        d={`M${to.x} ${to.y}L${back.x - uy * wide} ${back.y + ux * wide}L${back.x + uy * wide} ${back.y - ux * wide}z`}
        fill="var(--body-edge)"
        stroke="var(--tape)"
        strokeWidth="1"
        vectorEffect="non-scaling-stroke"
      />
    </g>
  );
}
