import type { Schemas } from "../../api/client";
import { hundred } from "../../labels";
import { indexOf } from "../../model/mapIndex";
import { placeTitle, reactionTitle } from "../map";
import type { PlannedTerm } from "./weeks";

const KIND: Record<Schemas["TermPair"]["kind"], string> = {
  "look-alikes": "Taken for one another",
  "first-and-then": "One leads to the other",
  "one-place": "Two answers to one place",
};

/** From this chance on it is called likely. */
const LIKELY = 0.5;

/** Answers that belong together: who has seen both halves, who one, and how likely they all see both before the end. */
export function Pairs({
  map,
  term,
  names,
}: {
  map: Schemas["Map"];
  term: PlannedTerm;
  names: (id: string) => string;
}) {
  const known = (id: string) => indexOf(map).reaction(id) !== undefined;
  const pairs = (term.plan?.pairs ?? []).filter((pair) => known(pair.one) && known(pair.other));
  if (pairs.length === 0) return null;
  return (
    <section className="mt-6" aria-label="Both halves">
      <h2 className="border-b-2 border-ink pb-1 text-lg">Both halves</h2>
      <p className="mt-1 text-[14px] text-quiet">
        Answers that belong together. The chance is that of seeing both by the end, coming as often as each
        does.
      </p>
      <ul>
        {pairs.map((pair) => (
          <Pair key={`${pair.one} ${pair.other}`} map={map} pair={pair} names={names} />
        ))}
      </ul>
    </section>
  );
}

function Pair({
  map,
  pair,
  names,
}: {
  map: Schemas["Map"];
  pair: Schemas["TermPair"];
  names: (id: string) => string;
}) {
  const both = pair.people.filter((one) => one.seenOne && one.seenOther);
  const lacking = pair.people
    .filter((one) => !(one.seenOne && one.seenOther))
    .sort((a, b) => a.both - b.both);
  const titles = [reactionTitle(map, pair.one), reactionTitle(map, pair.other)];
  const places = [pair.one, pair.other].map((id) => placeTitle(map, indexOf(map).reaction(id)!.from));
  const likely = pair.people.filter((one) => one.both >= LIKELY).length;
  return (
    <li className="border-b border-rule py-1.5">
      <p className="text-[13.5px] text-quiet">{KIND[pair.kind]}</p>
      <p>
        <strong>{titles[0]}</strong> <span className="text-[13.5px] text-quiet">{places[0]}</span>
      </p>
      <p>
        <strong>{titles[1]}</strong>{" "}
        {places[1] !== places[0] && <span className="text-[13.5px] text-quiet">{places[1]}</span>}
      </p>
      {lacking.length === 0 ? (
        <p className="text-[14px]">All {both.length} have seen both.</p>
      ) : (
        <details>
          <summary className="min-h-9 cursor-pointer text-[14px] lg:min-h-0">
            {both.length} of {pair.people.length} have seen both
            {likely > both.length ? `; ${likely} likely will have by the end` : "; nobody else is likely to"}
          </summary>
          <table className="mt-1 w-full text-[14px]">
            <thead>
              <tr className="text-left text-quiet">
                <th scope="col" className="font-normal">
                  Who
                </th>
                <th scope="col" className="font-normal">
                  Lacks
                </th>
                <th scope="col" className="text-right font-normal">
                  Both by the end
                </th>
              </tr>
            </thead>
            <tbody>
              {lacking.map((one) => (
                <tr key={one.person} className="border-t border-rule">
                  <th scope="row" className="pr-2 text-left font-normal">
                    {names(one.person)}
                  </th>
                  <td className="pr-2">
                    {!one.seenOne && !one.seenOther ? "both" : one.seenOne ? titles[1] : titles[0]}
                  </td>
                  <td className="text-right tabular-nums">{hundred(one.both)} in 100</td>
                </tr>
              ))}
            </tbody>
          </table>
        </details>
      )}
    </li>
  );
}
