import { useRef, useState, type PointerEvent } from "react";
import type { Schemas } from "../../api/client";
import { clockAfter } from "../../ui/days";
import { minutesOf, type Lesson, type Line, type Planned } from "./lesson";
import { lineTitle, partLabel, unitTitle } from "./words";

const GROUND: Record<Line["unit"]["section"], string> = {
  "warm-up": "bg-rule text-ink",
  recall: "bg-lane text-ink",
  new: "bg-green text-ground",
  chain: "bg-lane text-ink",
  called: "bg-lane text-ink",
  live: "bg-rule text-ink",
  talk: "bg-rule text-ink",
};

/** Shares of the tape from which a piece is wide enough for the name of its part, and for what is practised. */
const NAMED = 0.099;
const SAID = 0.17;
const TICK = 5;

/** The class as a tape, to the minute. An edge is drawn with the pointer, or with the arrow keys; what was drawn is fixed. */
export function Timeline({
  map,
  planned,
  lesson,
  chosen,
  may,
  onChoose,
  onMinutes,
}: {
  map: Schemas["Map"];
  planned: Planned;
  lesson: Lesson;
  chosen: string | undefined;
  may: boolean;
  onChoose: (key: string) => void;
  onMinutes: (key: string, minutes: number) => void;
}) {
  const lines = planned.plan?.lines ?? [];
  const all = planned.lesson.minutes;
  const tape = useRef<HTMLDivElement>(null);
  const [drawn, setDrawn] = useState<{ key: string; minutes: number }>();
  const shownOf = (line: Line) => (drawn?.key === line.unit.key ? drawn.minutes : minutesOf(lesson, line));
  const most = (line: Line) => Math.max(line.minutes, all - line.from - 1);
  const draw = (line: Line) => (event: PointerEvent<HTMLElement>) => {
    if (event.buttons === 0 || !tape.current) return;
    const box = tape.current.getBoundingClientRect();
    const at = Math.round(((event.clientX - box.left) / box.width) * all);
    setDrawn({ key: line.unit.key, minutes: Math.min(most(line), Math.max(1, at - line.from)) });
  };
  const drop = (line: Line) => () => {
    if (drawn && drawn.minutes !== line.minutes) onMinutes(line.unit.key, drawn.minutes);
    setDrawn(undefined);
  };
  // While an edge is drawn, what comes after it moves along, so that the tape stays whole.
  const total = lines.reduce((sum, line) => sum + shownOf(line), 0);
  return (
    <section aria-label="The class by minutes" className="border-b-[3px] border-ink">
      <div ref={tape} className="flex h-12 gap-px overflow-hidden bg-edge">
        {lines.map((line) => {
          const minutes = shownOf(line);
          const named = minutes / all >= NAMED;
          const said = minutes / all >= SAID;
          return (
            <div
              key={line.unit.key}
              className={`relative min-w-0 ${GROUND[line.unit.section]} ${chosen === line.unit.key ? "shadow-[inset_0_-4px_0_var(--ink)]" : ""}`}
              style={{ width: `${(100 * minutes) / Math.max(total, all)}%` }}
            >
              {line.fixed && (
                <>
                  <span aria-hidden="true" className="absolute inset-y-0 left-0 w-1.5 bg-ink" />
                  <span aria-hidden="true" className="absolute inset-y-0 right-0 w-1.5 bg-ink" />
                </>
              )}
              <button
                type="button"
                className="flex h-full w-full flex-col justify-center overflow-hidden px-1 text-left leading-tight mid:px-2.5"
                title={lineTitle(map, line.unit, planned.plan ?? undefined)}
                aria-current={chosen === line.unit.key}
                onClick={() => onChoose(line.unit.key)}
              >
                <span className="flex gap-1.5 font-bold whitespace-nowrap">
                  <span className={named ? "max-mid:sr-only" : "sr-only"}>{partLabel(line.unit)}</span>{" "}
                  {minutes}
                  <span className="sr-only">{line.fixed ? " minutes, fixed" : " minutes"}</span>
                </span>
                <span className={said ? "truncate text-[13.5px] max-mid:sr-only" : "sr-only"}>
                  {unitTitle(map, line.unit, planned.plan ?? undefined)}
                </span>
              </button>
              {may && (
                <span
                  role="slider"
                  tabIndex={0}
                  aria-label={`Minutes of ${lineTitle(map, line.unit, planned.plan ?? undefined)}`}
                  aria-valuemin={1}
                  aria-valuemax={most(line)}
                  aria-valuenow={minutes}
                  aria-valuetext={`${minutes} minutes`}
                  className="absolute inset-y-0 right-0 z-10 w-3 cursor-col-resize touch-none"
                  onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
                  onPointerMove={draw(line)}
                  onPointerUp={drop(line)}
                  onPointerCancel={() => setDrawn(undefined)}
                  onKeyDown={(event) => {
                    const by = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key];
                    if (by === undefined) return;
                    event.preventDefault();
                    const to = Math.min(most(line), Math.max(1, minutes + by));
                    if (to !== minutes) onMinutes(line.unit.key, to);
                  }}
                />
              )}
            </div>
          );
        })}
      </div>
      <div aria-hidden="true" className="relative h-7 text-[13.5px] text-quiet">
        {Array.from({ length: Math.floor(all / TICK) + 1 }, (_, i) => i * TICK).map((minute) => (
          <span
            key={minute}
            className={`absolute top-0 w-px bg-ink ${minute % 10 === 0 ? "h-2" : "h-1"}`}
            style={{ left: `min(${(100 * minute) / all}%, calc(100% - 1px))` }}
          />
        ))}
        {Array.from({ length: Math.floor(all / 15) + 1 }, (_, i) => i * 15).map((minute) => (
          <span
            key={minute}
            className="absolute top-1.5 bg-ground px-0.5"
            style={
              minute === 0
                ? { left: 0 }
                : minute === all
                  ? { right: 0 }
                  : { left: `${(100 * minute) / all}%`, transform: "translateX(-50%)" }
            }
          >
            {clockAfter(planned.lesson.starts, minute)}
          </span>
        ))}
      </div>
    </section>
  );
}
