import { useState } from "react";
import { hundred } from "../../labels";
import { timesInWords, type Ledger } from "./standing";

const SHOWN = 8;

/** Repetitions of each technique by side and role, against what the gym asks for. */
export function LedgerTable({ ledger, goal }: { ledger: Ledger[]; goal: number }) {
  const [all, setAll] = useState(false);
  const shown = all ? ledger : ledger.slice(0, SHOWN);
  return (
    <section className="mt-6" aria-labelledby="ledger">
      <h2 id="ledger" className="flex items-baseline justify-between gap-3 text-lg">
        Ledger
        <span className="text-[15px] font-normal text-quiet">the gym asks for {goal} of each in a year</span>
      </h2>
      {ledger.length === 0 ? (
        <p className="border-t-[3px] border-ink py-2">Nothing was repeated yet.</p>
      ) : (
        <>
          <div className="overflow-x-auto" tabIndex={0} role="region" aria-labelledby="ledger">
            <table className="w-full border-t-[3px] border-ink">
              <thead className="text-left text-quiet">
                <tr>
                  <th className="py-1 pr-3 font-normal">Technique</th>
                  <th className="px-2 py-1 text-right font-normal max-mid:hidden">28 days</th>
                  <th className="px-2 py-1 text-right font-normal">In a year</th>
                  <th className="px-2 py-1 font-normal whitespace-nowrap">Left, right</th>
                  <th className="px-2 py-1 text-right font-normal">Clean</th>
                  <th className="py-1 pl-2 text-right font-normal max-mid:hidden">Fed</th>
                </tr>
              </thead>
              <tbody>
                {shown.map((line) => (
                  <Row key={line.technique} line={line} goal={goal} />
                ))}
              </tbody>
            </table>
          </div>
          {ledger.length > SHOWN && (
            <button
              type="button"
              className="word min-h-11 lg:min-h-8"
              aria-expanded={all}
              onClick={() => setAll(!all)}
            >
              {all ? "Only the most repeated" : `All ${ledger.length} techniques`}
            </button>
          )}
          <p className="mt-1 text-quiet">
            “About” is reckoned from the minutes of classes, both sides alike, until somebody counts.
          </p>
        </>
      )}
    </section>
  );
}

function Row({ line, goal }: { line: Ledger; goal: number }) {
  const { year, lately } = line;
  const share = goal > 0 ? Math.min(1, year.all / goal) : 1;
  return (
    <tr className="border-t border-rule align-baseline">
      <th className="py-1 pr-3 text-left font-normal" scope="row">
        {line.title}
      </th>
      <td className="px-2 py-1 text-right whitespace-nowrap max-mid:hidden">
        {timesInWords(lately.all, lately.counted)}
      </td>
      <td className="px-2 py-1 text-right whitespace-nowrap">
        {timesInWords(year.all, year.counted)}
        <span className="mt-0.5 ml-auto block h-1.5 w-16 border border-ink" aria-hidden="true">
          <span className="block h-full bg-ink" style={{ width: `${share * 100}%` }} />
        </span>
        {goal > 0 && <span className="sr-only"> of {goal}</span>}
      </td>
      <td className="px-2 py-1 whitespace-nowrap">
        {Math.round(year.left)}, {Math.round(year.right)}
        {year.shorter && <span className="block text-quiet">{year.shorter} comes short</span>}
      </td>
      <td className="px-2 py-1 text-right whitespace-nowrap">
        {year.clean.of > 0 ? `${hundred(year.clean.well / year.clean.of)} of 100` : "–"}
      </td>
      <td className="py-1 pl-2 text-right whitespace-nowrap max-mid:hidden">{Math.round(year.fed)}</td>
    </tr>
  );
}
