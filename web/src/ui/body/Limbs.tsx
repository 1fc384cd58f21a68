import type { Schemas } from "../../api/client";
import { SEGMENT_LABEL, SEGMENTS } from "../../labels";

/** Each limb of yours: what holds it, and what it should be doing meanwhile. */
export function Limbs({ situation }: { situation: Schemas["Situation"] }) {
  const said = SEGMENTS.filter((segment) => situation.yours[segment]);
  if (said.length === 0) return null;
  return (
    <section className="mt-3 border-t border-rule pt-3" aria-label="Your limbs">
      <h2 className="text-base font-semibold lg:text-[14px]">Your limbs meanwhile</h2>
      <dl className="mt-1 space-y-0.5">
        {said.map((segment) => (
          <div key={segment} className="flex items-start gap-2">
            <span
              aria-hidden="true"
              className={`mt-[6px] size-[9px] shrink-0 self-start border border-ink ${situation.held[segment] ? "bg-green" : "bg-lane"}`}
            />
            <dt className="w-[62px] shrink-0 font-semibold">{SEGMENT_LABEL[segment]}</dt>
            <dd className="min-w-0">{situation.yours[segment]}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

/** How a partner holds a place well and safely. */
export function FeederBrief({ feeder }: { feeder: Schemas["Feeder"] }) {
  const lines = [
    ["Weight", feeder.weight],
    ["Take care", feeder.care],
    ["Give", feeder.gives],
  ].filter(([, text]) => text);
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
