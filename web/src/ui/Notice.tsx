import { useEffect, useRef, type ReactNode } from "react";
import type { Problem } from "../api/client";
import { Heading } from "./Heading";

/** Something that can hurt: a bar in signal yellow, and words. */
export function Caution({ children }: { children: ReactNode }) {
  return <p className="border-l-4 border-signal py-0.5 pl-3">{children}</p>;
}

/** Something refused: what is wrong and what to do. */
export function Refused({ problem }: { problem: Problem }) {
  return (
    <div role="alert" className="border-l-4 border-rust py-0.5 pl-3">
      <p className="font-semibold text-rust">{problem.detail}</p>
      {problem.problems && problem.problems.length > 1 && (
        <ul className="mt-1 list-disc pl-5">
          {problem.problems.map((p) => (
            <li key={p.place + p.message}>{p.message}</li>
          ))}
        </ul>
      )}
    </div>
  );
}

/** While something is fetched or computed for the first time; where it is known, how far that is. */
export function Loading({ what, progress }: { what: string; progress?: { done: number; of: number } }) {
  const known = progress !== undefined && progress.of > 0;
  return (
    <div role="status" className="max-w-sm p-5 text-quiet">
      <p>
        {what} …{known && ` ${progress.done} of ${progress.of}`}
      </p>
      {known && <progress className="mt-1 w-full accent-ink" value={progress.done} max={progress.of} />}
    </div>
  );
}

const AGAIN_AFTER = 4_000;

/** True when it is likely to be over in a moment: no connection, the database away, too much at once. */
function passes(problem: Problem): boolean {
  return problem.status === 0 || problem.status === 429 || problem.status === 503;
}

/** A page that could not be filled. What passes is tried again by itself. */
export function Failed({ problem, retry }: { problem: Problem; retry: () => void }) {
  const passing = passes(problem);
  const again = useRef(retry);
  useEffect(() => {
    again.current = retry;
  });
  useEffect(() => {
    if (!passing) return;
    const timer = setInterval(() => again.current(), AGAIN_AFTER);
    return () => clearInterval(timer);
  }, [passing]);
  return (
    <div className="max-w-xl space-y-3 p-5">
      <Refused problem={problem} />
      {passing && <p className="text-quiet">This page goes on by itself as soon as it can.</p>}
      <p className="flex flex-wrap items-center gap-x-5 gap-y-2">
        <button type="button" className="plate" onClick={retry}>
          Try again
        </button>
        {!passing && <WithoutTheTwo />}
      </p>
    </div>
  );
}

/** The way on where it is reckoned for two people of whom one is gone, or who make no pair, or for a room that is none. */
function WithoutTheTwo() {
  const address = new URL(window.location.href);
  const people = ["you", "they", "room"];
  if (!people.some((name) => address.searchParams.has(name))) return null;
  people.forEach((name) => address.searchParams.delete(name));
  return (
    <a className="word inline-flex min-h-9 items-center" href={address.href}>
      Reckon it for nobody in particular
    </a>
  );
}

/** Odds without certified bounds are never shown. */
export function NotSolved() {
  return (
    <main className="max-w-xl space-y-2 p-5">
      <Heading size="notice">These odds could not be solved</Heading>
      <p>
        The map goes round so slowly under this setting that its odds cannot be told to within one in a
        million, so none are shown. Move the partner’s read a little, or shorten the loop.
      </p>
    </main>
  );
}
