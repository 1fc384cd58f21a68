import type { Schemas } from "../../api/client";
import { SEGMENT_LABEL, SEGMENTS } from "../../labels";
import { feederLines } from "./feeder";

/** Each limb of yours: what holds it, and what it should be doing meanwhile; in the end what is free without a word. */
export function Limbs({ situation }: { situation: Schemas["Situation"] }) {
  const told = SEGMENTS.filter((segment) => situation.held[segment] || situation.yours[segment]);
  const free = SEGMENTS.filter((segment) => !told.includes(segment));
  return (
    <section className="mt-2" aria-label="Your limbs">
      <dl className="space-y-0.5">
        {told.map((segment) => (
          <div key={segment} className="flex items-start gap-2">
            <Square held={segment in situation.held} />
            <dt className="w-[4.8em] shrink-0 font-semibold">{SEGMENT_LABEL[segment]}</dt>
            <dd className="min-w-0">
              {situation.held[segment] && (
                <span className="block">
                  <span className="font-semibold">held:</span> {situation.held[segment]}
                </span>
              )}
              {situation.yours[segment]}
            </dd>
          </div>
        ))}
        {free.length > 0 && (
          <div className="flex items-start gap-2">
            <Square held={false} />
            <dt className="w-[4.8em] shrink-0 font-semibold">free</dt>
            <dd className="min-w-0 text-quiet">{free.map((s) => SEGMENT_LABEL[s]).join(", ")}</dd>
          </div>
        )}
      </dl>
    </section>
  );
}

/** As in the picture: green is held. */
function Square({ held }: { held: boolean }) {
  return (
    <span
      aria-hidden="true"
      className={`mt-[0.45em] size-[0.64em] shrink-0 self-start border border-ink ${held ? "bg-green" : "bg-lane"}`}
    />
  );
}

/** How a partner holds a place well and safely. */
export function FeederBrief({ feeder }: { feeder: Schemas["Feeder"] }) {
  const lines = feederLines(feeder);
  if (lines.length === 0) return null;
  return (
    <section className="mt-3 border-t border-rule pt-3" aria-label="For the partner who holds you">
      <h2 className="text-base font-semibold lg:text-[14px]">For the partner who holds you</h2>
      <dl className="mt-1 space-y-0.5">
        {lines.map(([name, text]) => (
          <div key={name}>
            <dt className="inline font-semibold">{name}: </dt>
            <dd className="inline">{text}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
