import { useLayoutEffect, useRef, type ReactNode } from "react";
import type { Schemas } from "../../api/client";
import { TwoBodies } from "../../ui/body/TwoBodies";
import { pictureAt } from "../picture";
import { calledIn, clockWords, hereIn, type Here, type Mat, type Part, type Step } from "./clock";
import {
  changeWords,
  groupWords,
  headOf,
  minutesOf,
  otherOf,
  partLabel,
  SIDE_OF_HALL,
  stepWords,
} from "./words";

type Pictures = Schemas["Pictures"];

/** How wide a picture is shown, about, for the strength of its lines. */
const PICTURE = 700;
/** Seconds before a round that are counted large. */
const COUNTED = 3;
/** Shares of their usual size that words may have. */
const SIZES = [1, 0.92, 0.84, 0.76, 0.68, 0.6, 0.5];

/**
 * A class for the whole room, to be read from across the hall: what now, the clock, who is on the bottom, what next. Sizes
 * are shares of the stage, so that it is the same on a tablet and on the wall.
 */
export function Show({ mat, pictures }: { mat: Mat; pictures: Pictures }) {
  return (
    <div className="mat-room">
      <div className="mat-stage" data-step={mat.step} data-kind={hereIn(mat).step.kind}>
        <Now mat={mat} pictures={pictures} />
      </div>
    </div>
  );
}

function Now({ mat, pictures }: { mat: Mat; pictures: Pictures }) {
  const here = hereIn(mat);
  if (mat.state === "ready") return <Ready mat={mat} />;
  if (mat.state === "over") return <Over />;
  if (mat.state === "stopped") return <Stopped mat={mat} here={here} pictures={pictures} />;
  switch (here.step.kind) {
    case "move":
      return <Move mat={mat} here={here} />;
    case "show":
      return <Shown mat={mat} here={here} pictures={pictures} />;
    case "change":
      return <Change mat={mat} here={here} pictures={pictures} />;
    case "round":
      return <Round mat={mat} here={here} pictures={pictures} />;
    case "talk":
    case "break":
      return <Plain mat={mat} here={here} />;
  }
}

/** The size for words of some length, in shares of the stage's height. */
function sizeOf(words: string, sizes: [number, number, number, number] = [15, 11.5, 9, 7]): number {
  const at = words.length <= 16 ? 0 : words.length <= 32 ? 1 : words.length <= 64 ? 2 : 3;
  return sizes[at];
}

function Big({ children, sizes }: { children: string; sizes?: [number, number, number, number] }) {
  return (
    <p className="mat-big" style={{ fontSize: `calc(var(--u) * ${sizeOf(children, sizes)})` }}>
      {children}
    </p>
  );
}

/** Words beside the picture; where they would be cut off they are smaller. */
function Words({ children }: { children: ReactNode }) {
  const words = useRef<HTMLDivElement>(null);
  useLayoutEffect(() => {
    const one = words.current!;
    const fit = () => {
      for (const size of SIZES) {
        one.style.setProperty("--fit", String(size));
        if (one.scrollHeight <= one.clientHeight + 1) return;
      }
    };
    fit();
    if (!("ResizeObserver" in globalThis)) return;
    const observer = new ResizeObserver(fit);
    observer.observe(one);
    return () => observer.disconnect();
  });
  return (
    <div ref={words} className="mat-words">
      {children}
    </div>
  );
}

function Head({ children }: { children: ReactNode }) {
  return <p className="mat-head">{children}</p>;
}

/** A picture of a place as large as there is room; on the other side it is turned round. */
function Place({
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
function Clock({ mat, step }: { mat: Mat; step: Step }) {
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

function Roles({ step, calls }: { step: Step; calls: boolean }) {
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
    </div>
  );
}

function Next({ here }: { here: Here }) {
  if (!here.next) return null;
  return <p className="mat-next">next: {stepWords(here.next, here)}</p>;
}

function Side({ step, here }: { step: Step; here: Here }) {
  return (
    <div className="mat-foot">
      {step.side && <p className="mat-side">{step.side === "left" ? "Left side" : "Right side"}</p>}
      <Next here={here} />
    </div>
  );
}

function Round({ mat, here, pictures }: { mat: Mat; here: Here; pictures: Pictures }) {
  const { part, step } = here;
  const call = calledIn(step, mat.ran);
  const answer = call && part.answers[call.answer];
  // Of two places that look alike the one is called in which the pair begins.
  const words = answer ? (part.other ? answer.from : answer.call) : part.title;
  const place = part.other && answer?.from === part.otherTitle ? part.other : undefined;
  return (
    <div className="mat-now">
      <Head>{headOf(here)}</Head>
      <Place part={part} place={place} side={step.side} pictures={pictures} />
      <Words>
        <div className="flex items-start gap-[calc(var(--u)*4)]" aria-live="polite">
          {call && <p className="mat-number">{call.number}</p>}
          <Big sizes={call ? [13, 10, 8, 7] : [14, 11, 9, 7]}>{words}</Big>
        </div>
        {part.section === "chain" && <Answers part={part} />}
        {part.section === "live" && <p className="mat-small">Tap early, let go at once.</p>}
        <Roles step={step} calls={call !== undefined} />
        <Side step={step} here={here} />
      </Words>
      <Clock mat={mat} step={step} />
    </div>
  );
}

/** What a chain is made of, in order: nothing of it is kept from whoever is below. */
function Answers({ part }: { part: Part }) {
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

/** Everybody goes where the next round begins; the last seconds are counted. */
function Change({ mat, here, pictures }: { mat: Mat; here: Here; pictures: Pictures }) {
  const { part, step } = here;
  const seconds = Math.max(0, Math.ceil(mat.left / 1000));
  const place = part.steps.indexOf(step);
  const words = changeWords(step, part.steps[place - 1]);
  const groups = part.bouts[step.bout] ?? [];
  const isFresh = words === "next partner" || words === "find your partner";
  return (
    <div className="mat-now">
      <Head>{headOf(here)}</Head>
      {isFresh && groups.length > 0 ? (
        <Pairs groups={groups} />
      ) : (
        <Place part={part} side={step.side} pictures={pictures} />
      )}
      <Words>
        {seconds <= COUNTED && seconds > 0 ? (
          <p className="mat-count" aria-live="assertive">
            {seconds}
          </p>
        ) : (
          <Big>{words.charAt(0).toUpperCase() + words.slice(1)}</Big>
        )}
        <Roles step={step} calls={false} />
        <Side step={step} here={{ ...here, next: undefined }} />
      </Words>
      <Clock mat={mat} step={step} />
    </div>
  );
}

/** Who works with whom, as large as their number lets it. */
function Pairs({ groups }: { groups: string[][] }) {
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

function Shown({ mat, here, pictures }: { mat: Mat; here: Here; pictures: Pictures }) {
  const { part, step } = here;
  const groups = part.bouts[0] ?? [];
  const isLive = part.section === "live";
  const fewGroups = isLive && groups.length > 0;
  return (
    <div className="mat-now">
      <Head>{headOf(here)}</Head>
      {fewGroups ? <Pairs groups={groups} /> : <Place part={part} pictures={pictures} />}
      <Words>
        <Big>{part.title}</Big>
        {isLive ? (
          <p className="mat-caution">Tap early. Let go at once.</p>
        ) : (
          part.cautions.slice(0, 1).map((words) => (
            <p key={words} className="mat-caution">
              {words}
            </p>
          ))
        )}
        {part.section === "called" && part.other && (
          <p className="mat-small">
            {part.placeTitle}, or {part.otherTitle?.toLowerCase()}?
          </p>
        )}
        <div className="mat-foot">
          <p className="mat-side">{isLive ? "Find your partner" : "Look here"}</p>
          {!isLive && <Next here={here} />}
        </div>
      </Words>
      <Clock mat={mat} step={step} />
    </div>
  );
}

function Move({ mat, here }: { mat: Mat; here: Here }) {
  const { part, step } = here;
  const at = part.steps.indexOf(step);
  return (
    <div className="mat-now">
      <Head>{headOf(here)}</Head>
      <div className="mat-picture flex flex-col gap-[calc(var(--u)*3)]">
        <Big sizes={[20, 16, 11, 9]}>{step.movement ?? part.title}</Big>
        {step.movement && <p className="mat-small">both sides</p>}
      </div>
      <ol className="mat-list">
        {part.steps.length > 1 &&
          part.steps.map((one, i) => (
            <li key={one.number} className={i === at ? "font-bold" : "text-quiet"}>
              {one.movement}
            </li>
          ))}
        {here.next && here.next.part !== part && (
          <li className="text-quiet">then: {stepWords(here.next, here)}</li>
        )}
      </ol>
      <Clock mat={mat} step={step} />
    </div>
  );
}

function Plain({ mat, here }: { mat: Mat; here: Here }) {
  return (
    <div className="mat-now mat-wide">
      <Head>{headOf(here)}</Head>
      <Words>
        <Big sizes={[22, 18, 13, 9]}>{here.part.title}</Big>
        <div className="mat-foot">
          <Next here={here} />
        </div>
      </Words>
      <Clock mat={mat} step={here.step} />
    </div>
  );
}

function Ready({ mat }: { mat: Mat }) {
  return (
    <div className="mat-now">
      <Head>{mat.gym}</Head>
      <div className="mat-picture flex flex-col gap-[calc(var(--u)*4)]">
        <Big sizes={[18, 15, 11, 9]}>{mat.title}</Big>
        <p className="mat-caution">Tap early. Let go at once.</p>
        <div className="mat-foot">
          <p className="mat-side">
            {mat.here} here, {mat.minutes} minutes
          </p>
        </div>
      </div>
      <ol
        className="mat-list"
        style={{ fontSize: `calc(var(--u) * ${Math.min(6.7, 72 / mat.parts.length)})` }}
      >
        {mat.parts.map((part) => (
          <li key={part.steps[0]!.number} className="flex gap-[calc(var(--u)*3)]">
            <span className="w-[calc(var(--u)*9)] flex-none text-right font-bold">{minutesOf(part)}</span>
            <span className="min-w-0 truncate">
              {partLabel(part)}
              {part.title !== partLabel(part) && <span className="text-quiet"> {part.title}</span>}
            </span>
          </li>
        ))}
      </ol>
    </div>
  );
}

function Over() {
  return (
    <div className="mat-now mat-wide">
      <Words>
        <Big sizes={[22, 18, 13, 9]}>The class is over</Big>
        <p className="mat-small">Thank your partners.</p>
      </Words>
    </div>
  );
}

function Stopped({ mat, here, pictures }: { mat: Mat; here: Here; pictures: Pictures }) {
  const { look } = mat;
  const { part, step } = here;
  if (!look)
    return (
      <div className="mat-now mat-wide">
        <Head>{headOf(here)}</Head>
        <Words>
          <Big sizes={[26, 20, 14, 10]}>Stop</Big>
          <div className="mat-foot">
            <p className="mat-next">then on with {stepWords(here)}</p>
          </div>
        </Words>
        <Clock mat={mat} step={step} />
      </div>
    );
  return (
    <div className="mat-now">
      <Head>Stop, look here</Head>
      <Place part={part} place={look.place ?? part.place ?? undefined} side={step.side} pictures={pictures} />
      <Words>
        {look.sign ? (
          <>
            <p className="mat-small">{look.sign}</p>
            <Big sizes={[13, 10, 8, 7]}>{look.fix ?? ""}</Big>
          </>
        ) : (
          <Big>{look.placeTitle ?? part.title}</Big>
        )}
      </Words>
      <Clock mat={mat} step={step} />
    </div>
  );
}
