import { useLayoutEffect, useRef, type ReactNode } from "react";
import type { Schemas } from "../../api/client";
import { TwoBodies } from "../../ui/body/TwoBodies";
import { pictureAt } from "../picture";
import { clockWords, notchAt, type Here, type Mat, type Part, type Step } from "./clock";
import { groupWords, otherOf, SIDE_OF_HALL, stepWords, threeWords } from "./words";

export type Pictures = Schemas["Pictures"];

/** Groups of three whose turns stand on the screen; there is no room for more, and every feeder's phone has them all. */
const MOST_THREES = 2;
/** How wide a picture is shown, about, for the strength of its lines. */
const PICTURE = 700;
/** Shares of their usual size that words may have. */
const SIZES = [1, 0.92, 0.84, 0.76, 0.68, 0.6, 0.5];

/** The size for words of some length, in shares of the stage's height. */
function sizeOf(words: string, sizes: [number, number, number, number] = [15, 11.5, 9, 7]): number {
  const at = words.length <= 16 ? 0 : words.length <= 32 ? 1 : words.length <= 64 ? 2 : 3;
  return sizes[at];
}

export function Big({ children, sizes }: { children: string; sizes?: [number, number, number, number] }) {
  return (
    <p className="mat-big" style={{ fontSize: `calc(var(--u) * ${sizeOf(children, sizes)})` }}>
      {children}
    </p>
  );
}

function fit(words: HTMLElement): void {
  for (const size of SIZES) {
    words.style.setProperty("--fit", String(size));
    if (words.scrollHeight <= words.clientHeight + 1) return;
  }
}

/** Words beside the picture; where they would be cut off they are smaller. */
export function Words({ children }: { children: ReactNode }) {
  const words = useRef<HTMLDivElement>(null);
  useLayoutEffect(() => fit(words.current!));
  useLayoutEffect(() => {
    const one = words.current!;
    const observer = new ResizeObserver(() => fit(one));
    observer.observe(one);
    return () => observer.disconnect();
  }, []);
  return (
    <div ref={words} className="mat-words">
      {children}
    </div>
  );
}

export function Head({ children }: { children: ReactNode }) {
  return <p className="mat-head">{children}</p>;
}

/** A picture of a place as large as there is room; on the other side it is turned round. */
export function Place({
  part,
  place = part.place ?? undefined,
  side,
  pictures,
}: {
  part: Part;
  place?: string;
  side?: Step["side"];
  pictures: Pictures;
}) {
  const picture = pictureAt(pictures, place);
  if (!picture) return <div className="mat-picture" />;
  const turned = side && picture.near && side !== picture.near;
  return (
    <div className="mat-picture" style={turned ? { transform: "scaleX(-1)" } : undefined}>
      <TwoBodies
        picture={picture}
        held={place === part.place ? part.held : place === part.other ? part.heldOther : {}}
        says={picture.says}
        width={PICTURE}
        named={false}
        className="h-full w-full"
      />
    </div>
  );
}

/** The clock, and the posts that close as the time goes. */
export function Clock({ mat, step }: { mat: Mat; step: Step }) {
  const all = mat.ran + mat.left;
  const share = mat.left > 0 && all > 0 ? mat.left / all : 0;
  const soon = step.kind === "round" && all > 20_000 ? 10_000 / all : 0;
  return (
    <div className="mat-clock">
      <p role="timer" className="mat-time">
        {clockWords(mat.left)}
      </p>
      <div className="mat-lane" aria-hidden="true">
        <div className="mat-post" style={{ width: `${(1 - share) * 50}%`, left: 0 }} />
        <div className="mat-post" style={{ width: `${(1 - share) * 50}%`, right: 0 }} />
        {soon > 0 && (
          <>
            <i className="mat-mark" style={{ left: `${(1 - soon) * 50}%` }} />
            <i className="mat-mark" style={{ right: `${(1 - soon) * 50}%` }} />
          </>
        )}
      </div>
    </div>
  );
}

export function Roles({ step, calls }: { step: Step; calls: boolean }) {
  if (!step.bottom) return null;
  return (
    <div className="mat-roles">
      <p>
        <i className="mat-square bg-(--body-you)" aria-hidden="true" />
        <span>
          <strong>{SIDE_OF_HALL[step.bottom]}</strong> on the bottom
        </span>
      </p>
      <p>
        <i className="mat-square bg-(--body-they)" aria-hidden="true" />
        <span className="text-quiet">
          {SIDE_OF_HALL[otherOf(step.bottom)]} on top{calls && ", shows it"}
        </span>
      </p>
      {step.threes.length <= MOST_THREES &&
        step.threes.map((three) => (
          <p key={three.bottom}>
            <i className="mat-three" aria-hidden="true" />
            <span>{threeWords(three)}</span>
          </p>
        ))}
    </div>
  );
}

/** How far a dial is turned, one mark for each notch. */
export function Notch({ step, ran }: { step: Step; ran: number }) {
  const notch = notchAt(step, ran)!;
  return (
    <>
      <Big sizes={[14, 14, 11, 9]}>{`Notch ${notch}`}</Big>
      <p className="mat-notches" aria-hidden="true">
        {Array.from({ length: step.notches }, (_, i) => (
          <i
            key={i}
            className={i < notch ? "bg-ink" : ""}
            style={{ height: `${20 + (80 * (i + 1)) / step.notches}%` }}
          />
        ))}
      </p>
      <p className="mat-small">{notch === 1 ? "Lightly. Then ask." : "Only if they want more. Then ask."}</p>
      <p className="mat-caution">The lighter one says stop. Never on the neck.</p>
    </>
  );
}

export function Next({ here }: { here: Here }) {
  if (!here.next) return null;
  return <p className="mat-next">next: {stepWords(here.next, here)}</p>;
}

export function Side({ step, here }: { step: Step; here: Here }) {
  return (
    <div className="mat-foot">
      {step.side && <p className="mat-side">{step.side === "left" ? "Left side" : "Right side"}</p>}
      <Next here={here} />
    </div>
  );
}

/** What a chain is made of, in order: nothing of it is kept from whoever is below. */
export function Answers({ part }: { part: Part }) {
  const answers = [...new Set(part.answers.map((one) => one.answer))];
  return (
    <ol className="mat-small">
      {answers.map((answer, i) => (
        <li key={answer} className="flex gap-[0.5em]">
          <strong>{i + 1}</strong> {answer}
        </li>
      ))}
    </ol>
  );
}

/** Who works with whom, as large as their number lets it. */
export function Pairs({ groups }: { groups: string[][] }) {
  const columns = groups.length > 16 ? 3 : groups.length > 7 ? 2 : 1;
  const size = groups.length > 24 ? 4.5 : columns > 1 ? 6 : 7;
  return (
    <ul
      className="mat-pairs"
      style={{ columnCount: columns, fontSize: `calc(var(--u) * ${size})` }}
      aria-label="Who works with whom"
    >
      {groups.map((group) => (
        <li key={group.join()}>{groupWords(group)}</li>
      ))}
    </ul>
  );
}
