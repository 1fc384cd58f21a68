import { calledIn, hereIn, type Here, type Mat } from "./clock";
import {
  Answers,
  Big,
  Clock,
  Head,
  Next,
  Notch,
  Pairs,
  Place,
  Roles,
  Side,
  Words,
  type Pictures,
} from "./Stage";
import { changeWords, headOf, minutesOf, partLabel, stepWords } from "./words";

/** Seconds before a round that are counted large. */
const COUNTED = 3;

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

function Round({ mat, here, pictures }: { mat: Mat; here: Here; pictures: Pictures }) {
  const { part, step } = here;
  const call = calledIn(step, mat.ran);
  const isDial = step.notches > 0;
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
          {isDial ? (
            <div>
              <Notch step={step} ran={mat.ran} />
            </div>
          ) : (
            <Big sizes={call ? [13, 10, 8, 7] : [14, 11, 9, 7]}>{words}</Big>
          )}
        </div>
        {part.section === "chain" && <Answers part={part} />}
        {part.section === "live" && !isDial && <p className="mat-small">Tap early, let go at once.</p>}
        <Roles step={step} calls={call !== undefined} />
        <Side step={step} here={here} />
      </Words>
      <Clock mat={mat} step={step} />
    </div>
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
          <p className="mat-caution">
            {part.drill === "dial"
              ? "Notch by notch. The lighter one says stop; never on the neck."
              : part.drill === "gate"
                ? "Each from below, left and right. Nobody passes by force."
                : "Tap early. Let go at once."}
          </p>
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
