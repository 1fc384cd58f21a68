import { useState } from "react";
import { Committed } from "./Asked";
import type { Lesson, Planned } from "./lesson";
import { SECTION_LABEL } from "../../labels";

/** How long each part may last: that of the shape, or the class's own once one of them is changed. */
export function Shape({
  planned,
  may,
  change,
}: {
  planned: Planned;
  may: boolean;
  change: (part: Partial<Lesson>) => void;
}) {
  const [open, setOpen] = useState(false);
  const most = planned.lesson.minutes;
  const set = (section: string, part: { least?: number; most?: number }) =>
    change({
      usual: null,
      shape: planned.spans.map((span) => {
        if (span.section !== section) return span;
        const next = { ...span, ...part };
        // The one that was typed stands, the other gives way.
        return part.least === undefined
          ? { ...next, least: Math.min(next.least, next.most) }
          : { ...next, most: Math.max(next.least, next.most) };
      }),
    });
  const whole = (value: string): number | undefined => {
    const minutes = Math.round(Number(value));
    return value.trim() !== "" && !Number.isNaN(minutes) ? minutes : undefined;
  };
  return (
    <div>
      <button type="button" className="word" aria-expanded={open} onClick={() => setOpen(!open)}>
        How long each part may last
      </button>
      {open && (
        <ul className="mt-1 flex flex-wrap gap-x-6 gap-y-2">
          {planned.spans.map((span) => {
            const title = SECTION_LABEL[span.section];
            return (
              <li key={span.section}>
                <p aria-hidden="true" className="text-[13.5px] text-quiet">
                  {title}
                </p>
                <p className="flex items-center gap-1.5">
                  <Committed
                    type="number"
                    label={`${title}, at least, minutes`}
                    min={0}
                    max={most}
                    step={1}
                    value={String(span.least)}
                    may={may}
                    width="w-16"
                    onCommit={(value) => {
                      const least = whole(value);
                      if (least !== undefined) set(span.section, { least });
                    }}
                  />
                  to
                  <Committed
                    type="number"
                    label={`${title}, at most, minutes`}
                    min={0}
                    max={most}
                    step={1}
                    value={String(span.most)}
                    may={may}
                    width="w-16"
                    onCommit={(value) => {
                      const longest = whole(value);
                      if (longest !== undefined) set(span.section, { most: longest });
                    }}
                  />
                </p>
              </li>
            );
          })}
        </ul>
      )}
    </div>
  );
}
