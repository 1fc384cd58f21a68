import type { Problem } from "../../api/client";

/** Every fault of a file by its place. */
export function Faults({ name, problem }: { name: string; problem: Problem }) {
  const faults = problem.problems ?? [];
  return (
    <div role="alert" className="border-l-4 border-rust pl-3">
      <p className="font-semibold text-rust">
        {name} is not read in; {faults.length === 0 ? problem.detail : "nothing was stored."}
      </p>
      {faults.length > 0 && (
        <ul className="mt-1 max-h-96 overflow-y-auto" tabIndex={0} aria-label="What is wrong with it">
          {faults.map((fault, index) => (
            <li key={index}>
              <span className="font-semibold">{fault.place || "the file"}</span>: {fault.message}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
