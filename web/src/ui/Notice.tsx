import type { ReactNode } from "react";
import type { Problem } from "../api/client";

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

/** While something is fetched for the first time. */
export function Loading({ what }: { what: string }) {
  return (
    <p role="status" className="p-5 text-quiet">
      {what} …
    </p>
  );
}

/** A page that could not be filled. */
export function Failed({ problem, retry }: { problem: Problem; retry: () => void }) {
  return (
    <div className="max-w-xl space-y-3 p-5">
      <Refused problem={problem} />
      <button type="button" className="plate" onClick={retry}>
        Try again
      </button>
    </div>
  );
}

/** Odds without certified bounds are never shown. */
export function NotSolved() {
  return (
    <main className="max-w-xl space-y-2 p-5">
      <h1 className="text-2xl">These odds could not be solved</h1>
      <p>
        The map goes round so slowly under this setting that its odds cannot be told to within one in a
        million, so none are shown. Move the partner’s read a little, or shorten the loop.
      </p>
    </main>
  );
}
