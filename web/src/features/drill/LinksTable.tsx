import { hundred } from "../../labels";
import { Gate } from "../../ui/Gate";
import { theyDo } from "../map";
import { linkKey, type Drill, type Plan, type PlannedLink } from "./design";
import { nextInWords } from "./words";

type Part = "opening" | "links" | "finishes" | "extension";
const PARTS: Part[] = ["opening", "links", "finishes", "extension"];

/** Where a link of the plan stands in the drill; nowhere if the pair takes it instead of another. */
function standsIn(drill: Drill, link: PlannedLink): { part: Part; at: number } | undefined {
  for (const part of PARTS) {
    const at = drill[part].findIndex((l) => linkKey(l) === linkKey(link));
    if (at >= 0) return { part, at };
  }
  return undefined;
}

/** Every link of the drill: call, stimulus, answer, landing, what it is worth, how often it comes; renamed, moved, taken out. */
export function LinksTable({
  plan,
  drill,
  change,
}: {
  plan: Plan;
  drill: Drill;
  change: (part: Partial<Drill>) => void;
}) {
  const edit = (part: Part, to: (now: Drill["links"]) => Drill["links"]) =>
    change({ [part]: to(drill[part]) });
  return (
    <div
      className="relative mt-4 max-w-full overflow-x-auto"
      tabIndex={0}
      role="region"
      aria-label="Links of the drill"
    >
      <table className="w-full min-w-[42rem] border-collapse text-left">
        <thead>
          <tr className="text-quiet">
            <th className="py-1 pr-2 font-normal">Call</th>
            <th className="py-1 pr-3 font-normal">They, you, and they then</th>
            <th className="py-1 pr-3 font-normal">You land, and go on</th>
            <th className="py-1 pr-3 font-normal">Odds there</th>
            <th className="py-1 pr-2 text-right font-normal">for 1</th>
            <th className="py-1 pr-2 text-right font-normal">for 2</th>
            <th className="py-1 font-normal">
              <span className="sr-only">Move or take out</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {plan.links.map((link, number) => {
            const own = standsIn(drill, link);
            const name = link.word;
            return (
              <tr key={linkKey(link)} className="border-t border-rule align-top">
                <td className="w-28 py-1.5 pr-2">
                  {own ? (
                    <input
                      aria-label={`What is shouted for ${link.answer}`}
                      className="box font-bold"
                      maxLength={90}
                      placeholder={link.word}
                      value={drill[own.part][own.at]!.word ?? link.word}
                      onChange={(event) =>
                        edit(own.part, (now) =>
                          now.map((l, i) => (i === own.at ? { ...l, word: event.target.value } : l)),
                        )
                      }
                    />
                  ) : (
                    <strong>{link.word}</strong>
                  )}
                  {link.part !== "call" && (
                    <span className="text-quiet">{link.part === "finish" ? "you see" : "always"}</span>
                  )}
                </td>
                <td className="py-1.5 pr-3">
                  {link.trigger || link.startTitle}
                  <span className="block font-semibold">{link.answer}</span>
                  <span className="block text-quiet">{theyDo(link.cue)}</span>
                </td>
                <td className="py-1.5 pr-3">
                  {link.landingTitle}
                  <span className="block text-quiet">{nextInWords(link.next)}</span>
                </td>
                <td className="w-24 py-1.5 pr-3">
                  <span className="flex items-center gap-2">
                    <Gate worth={link.worth} className="w-12" />
                    <span className="font-semibold">{hundred(link.worth)}</span>
                  </span>
                </td>
                <td className="py-1.5 pr-2 text-right">{link.counts[0]}</td>
                <td className="py-1.5 pr-2 text-right">{link.counts[1]}</td>
                <td className="py-1.5 whitespace-nowrap">
                  {plan.unreached.includes(number) && <span className="text-rust">not reached </span>}
                  {own && own.at > 0 && (
                    <button
                      type="button"
                      className="word mr-2"
                      aria-label={`Earlier: ${name}`}
                      onClick={() =>
                        edit(own.part, (now) => {
                          const next = [...now];
                          next.splice(own.at - 1, 0, next.splice(own.at, 1)[0]!);
                          return next;
                        })
                      }
                    >
                      Earlier
                    </button>
                  )}
                  {own && (
                    <button
                      type="button"
                      className="word"
                      aria-label={`Take out: ${name}`}
                      onClick={() => edit(own.part, (now) => now.filter((_, i) => i !== own.at))}
                    >
                      Take out
                    </button>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
