import { useState, type KeyboardEvent, type ReactNode } from "react";
import type { Schemas } from "../../api/client";
import { indexOf } from "../../model/mapIndex";
import { TwoBodies } from "../../ui/body/TwoBodies";
import { usePicture, usePictures, useWay } from "./pictures";

/** How the steps of a technique fall to its pictures: as evenly as they can, in order. */
export function shared<T>(steps: readonly T[], pictures: number): T[][] {
  return Array.from({ length: pictures }, (_, i) =>
    steps.slice(Math.floor((i * steps.length) / pictures), Math.floor(((i + 1) * steps.length) / pictures)),
  );
}

/** The pictures on the way from one place to another, all in a box of one size, and what each of them shows. */
function useDrawnWay(map: Schemas["Map"], from: string, to: string) {
  const begins = usePicture(map, from);
  const lands = usePicture(map, to);
  const isDrawn = begins !== undefined && lands !== undefined;
  const onItsWay = usePictures(map).isPending;
  const way = useWay(map, from, to, isDrawn);
  const drawings = way.data?.drawings ?? [];
  const last = drawings.length - 1;
  const box = {
    width: Math.max(...drawings.map((d) => d.width), 1),
    height: Math.max(...drawings.map((d) => d.height), 1),
  };
  const { situation, outcome } = indexOf(map);
  const title = (place: string) => (situation(place) ?? outcome(place))?.title ?? place;
  const name = (i: number) => (i === 0 ? title(from) : i === last ? title(to) : "on the way");
  const drawn = (
    i: number,
    // Told is what no words beside it say.
    { width, className, told = false }: { width: number; className: string; told?: boolean },
  ) => (
    <TwoBodies
      picture={{
        ...drawings[i]!,
        title: name(i),
        says: "",
        near: i === last ? way.data?.nearAfter : way.data?.near,
        drawing: "",
        swapped: false,
      }}
      held={i === 0 ? situation(from)?.held : i === last ? situation(to)?.held : {}}
      says={told ? `${i + 1} of ${drawings.length}: ${name(i)}` : ""}
      width={width}
      box={box}
      className={className}
    />
  );
  return { isDrawn, onItsWay, way, drawings, name, drawn };
}

/**
 * How an answer is done, in pictures solved between where it begins and where it lands, with its steps under them, stepped
 * by hand. Where a place is not drawn the steps stand alone.
 */
export function StepStrip({
  map,
  from,
  to,
  steps,
}: {
  map: Schemas["Map"];
  from: string;
  to: string;
  steps: ReactNode[];
}) {
  const { isDrawn, way, drawings, name, drawn } = useDrawnWay(map, from, to);
  const [at, setAt] = useState(0);
  if (!isDrawn) return <Steps steps={steps} first={0} />;
  if (way.isPending) return <p className="text-quiet">Drawing how it is done …</p>;
  if (drawings.length === 0) return <Steps steps={steps} first={0} />;
  const last = drawings.length - 1;
  const parts = shared(steps, drawings.length);
  const before = parts.slice(0, at).flat().length;
  const onKey = (event: KeyboardEvent) => {
    const step = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
    if (step === undefined) return;
    event.preventDefault();
    setAt(Math.max(0, Math.min(last, at + step)));
  };
  return (
    <section aria-label="Step by step">
      <div className="grid gap-x-5 gap-y-1 sm:grid-cols-[minmax(0,1.1fr)_minmax(0,1fr)]">
        {drawn(at, { width: 300, className: "max-h-60 w-full", told: true })}
        <div aria-live="polite">
          <p className="text-quiet">
            {at + 1} of {drawings.length}: {name(at)}
          </p>
          {parts[at]!.length > 0 && <Steps steps={parts[at]!} first={before} />}
        </div>
      </div>
      <div
        role="toolbar"
        aria-label="Pictures of the way"
        className="mt-2 grid grid-cols-4 gap-2"
        onKeyDown={onKey}
      >
        {drawings.map((_, i) => (
          <button
            key={i}
            type="button"
            aria-pressed={i === at}
            aria-label={`Picture ${i + 1}: ${name(i)}`}
            className="min-h-11 border-b-[3px] border-transparent pb-1 hover:border-edge aria-pressed:border-ink"
            onClick={() => setAt(i)}
          >
            {drawn(i, { width: 80, className: "w-full" })}
          </button>
        ))}
      </div>
    </section>
  );
}

/** The same in one look: the pictures beside each other, each with its steps under it. */
export function StepRow({
  map,
  from,
  to,
  steps,
}: {
  map: Schemas["Map"];
  from: string;
  to: string;
  steps: ReactNode[];
}) {
  const { isDrawn, onItsWay, way, drawings, drawn } = useDrawnWay(map, from, to);
  if ((!isDrawn && !onItsWay) || steps.length === 0 || way.isError) return null;
  const parts = shared(steps, Math.max(drawings.length, 1));
  return (
    // As high before it is drawn as after it, so that nothing under it moves.
    <ol className="grid min-h-[176px] auto-cols-fr grid-flow-col gap-x-4" aria-label="How it is done">
      {drawings.map((_, i) => (
        <li key={i} className="min-w-0 border-t border-ink pt-1">
          {drawn(i, { width: 180, className: "h-[112px] w-full wide:h-[170px]" })}
          {parts[i]?.map((step, line) => (
            <p key={line} className="leading-snug">
              <span className="font-semibold">{parts.slice(0, i).flat().length + line + 1}</span> {step}
            </p>
          ))}
        </li>
      ))}
    </ol>
  );
}

function Steps({ steps, first }: { steps: ReactNode[]; first: number }) {
  return (
    <ol className="list-decimal space-y-0.5 pl-5" start={first + 1}>
      {steps.map((step, i) => (
        <li key={i}>{step}</li>
      ))}
    </ol>
  );
}
