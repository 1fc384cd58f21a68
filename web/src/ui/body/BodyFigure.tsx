import { SEGMENT_LABEL, SEGMENTS, type Segment } from "../../labels";
import { DRAWING_ORDER, OUTLINE } from "./figure";

/** The bottom player on the back, seen by the coach standing over them: held segments filled, free ones open. */
export function BodyDrawing({
  isHeld,
  isUnsaid = () => false,
  says,
  onPick,
  className,
}: {
  isHeld: (segment: Segment) => boolean;
  /** Segments of which nothing is known are drawn in broken lines. */
  isUnsaid?: (segment: Segment) => boolean;
  says: string;
  /** Called when a segment is pressed. Whoever cannot press the drawing needs another way beside it. */
  onPick?: (segment: Segment) => void;
  className: string;
}) {
  return (
    <svg viewBox="-30 0 250 366" role="img" aria-label={says} className={className}>
      <rect x="-28" y="84" width="7" height="150" className="fill-ink" />
      <text
        x="0"
        y="0"
        transform="translate(-6 234) rotate(-90)"
        className="fill-quiet text-base lg:text-[14px]"
      >
        they lie on this side
      </text>
      {DRAWING_ORDER.map((segment) => (
        <g
          key={segment}
          data-segment={segment}
          data-held={isHeld(segment)}
          onClick={onPick && (() => onPick(segment))}
          className={onPick ? "cursor-pointer" : ""}
        >
          {OUTLINE[segment].map((path, part) => (
            <path
              key={part}
              d={path}
              className={`${isUnsaid(segment) ? "stroke-quiet" : "stroke-ink"} ${isHeld(segment) ? "fill-green" : "fill-lane"}`}
              strokeWidth={2}
              strokeDasharray={isUnsaid(segment) ? "4 4" : undefined}
              strokeLinejoin="round"
            />
          ))}
        </g>
      ))}
    </svg>
  );
}

/** The drawing with what holds each segment in words. */
export function BodyFigure({
  held,
  stacked = false,
}: {
  held: Record<string, string>;
  /** The words stand under the drawing whatever the width, as on paper. */
  stacked?: boolean;
}) {
  const isHeld = (segment: Segment) => segment in held;
  const heldNames = SEGMENTS.filter(isHeld);
  const freeNames = SEGMENTS.filter((s) => !isHeld(s));
  const says = `Held: ${heldNames.map((s) => SEGMENT_LABEL[s]).join(", ") || "nothing"}. Free: ${freeNames.map((s) => SEGMENT_LABEL[s]).join(", ") || "nothing"}.`;
  return (
    <figure className={stacked ? "" : "flex gap-4 lg:block"}>
      <BodyDrawing isHeld={isHeld} says={says} className="h-64 w-auto shrink-0 lg:mx-auto lg:h-72" />
      <figcaption className="mt-3 min-w-0 space-y-2" aria-hidden="true">
        {heldNames.length > 0 && (
          <dl className="grid grid-cols-[auto_minmax(0,1fr)] gap-x-2 gap-y-0.5">
            {heldNames.map((segment) => (
              <div key={segment} className="col-span-2 grid grid-cols-subgrid">
                <dt className="font-semibold">
                  <span className="mr-1.5 inline-block size-2.5 border border-ink bg-green" />
                  {capital(SEGMENT_LABEL[segment])}
                </dt>
                <dd className="text-quiet">{held[segment]}</dd>
              </div>
            ))}
          </dl>
        )}
        <p>
          <span className="mr-1.5 inline-block size-2.5 border border-ink bg-lane" />
          <span className="font-semibold">Free</span>{" "}
          <span className="text-quiet">{freeNames.map((s) => SEGMENT_LABEL[s]).join(", ") || "nothing"}</span>
        </p>
      </figcaption>
    </figure>
  );
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
