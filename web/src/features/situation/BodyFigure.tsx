import { SEGMENT_LABEL, SEGMENTS, type Segment } from "../../labels";
import { DRAWING_ORDER, OUTLINE } from "./figure";

/** The bottom player on the back, seen by the coach standing over them: held segments filled and named, free ones open. */
export function BodyFigure({ held }: { held: Record<string, string> }) {
  const isHeld = (segment: Segment) => segment in held;
  const heldNames = SEGMENTS.filter(isHeld);
  const freeNames = SEGMENTS.filter((s) => !isHeld(s));
  const says = `Held: ${heldNames.map((s) => SEGMENT_LABEL[s]).join(", ") || "nothing"}. Free: ${freeNames.map((s) => SEGMENT_LABEL[s]).join(", ") || "nothing"}.`;
  return (
    <figure className="flex gap-4 lg:block">
      <svg
        viewBox="-30 0 250 360"
        role="img"
        aria-label={says}
        className="h-64 w-auto shrink-0 lg:mx-auto lg:h-72"
      >
        <rect x="-28" y="84" width="7" height="150" className="fill-ink" />
        <text
          x="0"
          y="0"
          transform="translate(-6 234) rotate(-90)"
          className="fill-quiet text-base lg:text-[14px]"
        >
          they lie on this side
        </text>
        {DRAWING_ORDER.map((segment) =>
          OUTLINE[segment].map((path, part) => (
            <path
              key={`${segment}-${part}`}
              d={path}
              data-segment={segment}
              data-held={isHeld(segment)}
              className={isHeld(segment) ? "fill-green stroke-ink" : "fill-lane stroke-ink"}
              strokeWidth={2}
              strokeLinejoin="round"
            />
          )),
        )}
      </svg>
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
