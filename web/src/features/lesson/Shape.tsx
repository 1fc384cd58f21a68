import { useState } from "react";
import { problemOf, type Problem } from "../../api/client";
import { Refused } from "../../ui/Notice";
import { Committed } from "./Asked";
import type { Lesson, Planned } from "./lesson";
import { useKeepShape, useShapes, type KeptShape } from "./shapes";
import { SECTION_LABEL } from "../../labels";

/** Keeps this shape for other classes, and takes kept ones out. */
function ForTheGym({ lesson, spans }: { lesson: Lesson; spans: Planned["spans"] }) {
  const kept = useShapes(lesson.minutes).data ?? [];
  const { keep, remove } = useKeepShape();
  const [title, setTitle] = useState("");
  const [removed, setRemoved] = useState<KeptShape>();
  const [problem, setProblem] = useState<Problem>();
  const doing = (promise: Promise<void>, done: () => void) =>
    promise.then(
      () => {
        setProblem(undefined);
        done();
      },
      (error: unknown) => setProblem(problemOf(error)),
    );
  return (
    <form
      className="mt-2 flex flex-wrap items-end gap-x-4 gap-y-2"
      onSubmit={(event) => {
        event.preventDefault();
        void doing(keep(title, lesson.minutes, spans), () => setTitle(""));
      }}
    >
      <label>
        <span className="block text-[13.5px] text-quiet">Keep this shape for the gym as</span>
        <input
          className="box w-52"
          required
          maxLength={90}
          value={title}
          onChange={(event) => setTitle(event.target.value)}
        />
      </label>
      <button type="submit" className="word">
        Keep it
      </button>
      {kept.map((one) => (
        <button
          key={one.id}
          type="button"
          className="word"
          onClick={() => void doing(remove(one.id), () => setRemoved(one))}
        >
          Remove “{one.title}”
        </button>
      ))}
      {removed && (
        <span role="status">
          “{removed.title}” is out.{" "}
          <button
            type="button"
            className="word"
            onClick={() =>
              void doing(keep(removed.title, lesson.minutes, removed.spans), () => setRemoved(undefined))
            }
          >
            Put it back
          </button>
        </span>
      )}
      {problem && <Refused problem={problem} />}
    </form>
  );
}

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
      {open && may && <ForTheGym lesson={planned.lesson} spans={planned.spans} />}
    </div>
  );
}
