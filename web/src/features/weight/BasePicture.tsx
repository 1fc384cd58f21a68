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
      under={
        !bare && (
          <g strokeLinejoin="round">
            <path
              d={`${path(marks.first)}z`}
              stroke="var(--body-edge)"
              strokeWidth="8"
              vectorEffect="non-scaling-stroke"
            />
            <path
              d={`${path(marks.first)}z`}
              stroke="var(--tape)"
              strokeWidth="5"
              vectorEffect="non-scaling-stroke"
            />
          </g>
        )
      }
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
            <>
              <path
                d={path(marks.weakest)}
                stroke="var(--body-edge)"
                strokeWidth="9"
                vectorEffect="non-scaling-stroke"
              />
              <path
                d={path(marks.weakest)}
                stroke="var(--signal)"
                strokeWidth="5.5"
                vectorEffect="non-scaling-stroke"
              />
            </>
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

function Cross({ at, size }: { at: Point; size: number }) {
  const d = `M${at.x - size} ${at.y - size}l${2 * size} ${2 * size}M${at.x + size} ${at.y - size}l${-2 * size} ${2 * size}`;
  return (
    <>
      <path d={d} stroke="var(--tape)" strokeWidth="5" vectorEffect="non-scaling-stroke" />
      <path d={d} stroke="var(--body-edge)" strokeWidth="2.4" vectorEffect="non-scaling-stroke" />
    </>
  );
}

/** Where their weight is, the mat under it, and the way they go. */
function Centre({ marks, pixel }: { marks: Weight["marks"]; pixel: number }) {
  const { centre, foot, tip } = marks;
  const r = 9 * pixel;
  const plumb = `M${centre.x} ${centre.y}L${foot.x} ${foot.y}`;
  return (
    <g>
      <path d={plumb} stroke="var(--tape)" strokeWidth="5" vectorEffect="non-scaling-stroke" />
      <path
        d={plumb}
        stroke="var(--body-edge)"
        strokeWidth="2"
        strokeDasharray="4 3"
        vectorEffect="non-scaling-stroke"
      />
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
      <path
        d={path([from, back])}
        stroke="var(--body-edge)"
        strokeWidth="2.6"
        vectorEffect="non-scaling-stroke"
      />
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
