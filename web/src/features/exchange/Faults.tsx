import type { Problem } from "../../api/client";
import { inWordsOfTheForm } from "../workshop";
import { contentOf, whereInWords } from "./where";

/** Every fault of a file: what it is about and what is wrong, and the exact place for whoever asks. */
export function Faults({ name, text, problem }: { name: string; text?: string; problem: Problem }) {
  const faults = problem.problems ?? [];
  const content = contentOf(text);
  return (
    <div role="alert" className="border-l-4 border-rust pl-3">
      <p className="font-semibold text-rust">
        {name} is not read in; {faults.length === 0 ? problem.detail : "nothing was stored."}
      </p>
      {faults.length > 0 && (
        <ul className="mt-1 max-h-96 overflow-y-auto" tabIndex={0} aria-label="What is wrong with it">
          {faults.map((fault, index) => {
            const where = whereInWords(fault.place, content);
            return (
              <li key={index} className="py-0.5">
                {where !== "The file" && <span className="font-semibold">{where}: </span>}
                {inWordsOfTheForm(fault.message)}
                {fault.place !== "" && (
                  <details>
                    <summary className="w-fit cursor-pointer text-quiet">Where?</summary>
                    <code className="wrap-anywhere select-all">{fault.place}</code>
                  </details>
                )}
              </li>
            );
          })}
        </ul>
      )}
    </div>
  );
}
