import { Heading } from "../../ui/Heading";
import { lowerFirst } from "../map";
import { linkKey, type Drill, type Plan } from "./design";
import { nextInWords } from "./words";

/** What hangs on the wall: who needs it reads it from the mat. */
export function WallSheet({ drill, plan }: { drill: Drill; plan: Plan }) {
  return (
    <article className="sheet">
      <header className="border-b-[5px] border-ink pb-2">
        <Heading size="cover">{drill.title}</Heading>
        <p className="text-[18px] print:text-[22px]">
          {Math.round(plan.minutes)} minutes, {drill.sides.join(", then ")}. {plan.kind.counts}
        </p>
      </header>
      <ol>
        {plan.links.map((link) => (
          <li
            key={linkKey(link)}
            className="grid break-inside-avoid grid-cols-[minmax(6rem,9rem)_minmax(0,1fr)] gap-x-5 border-b border-ink py-3 print:grid-cols-[13rem_minmax(0,1fr)]"
          >
            <span
              className="text-[38px] leading-none font-bold print:text-[58px]"
              style={{ fontStretch: "72%" }}
            >
              {link.word}
            </span>
            <span className="text-[20px] leading-snug print:text-[25px]">
              <strong>{link.answer}</strong>
              <span className="block text-quiet">
                {lowerFirst(link.landingTitle)}, {nextInWords(link.next)}
              </span>
            </span>
          </li>
        ))}
        {plan.rounds.length > 0 &&
          [...new Set(plan.rounds.map((r) => r.placeTitle))].map((place) => (
            <li key={place} className="border-b border-ink py-3 text-[30px] font-bold">
              {place}
            </li>
          ))}
      </ol>
      <p className="mt-4 border-l-[9px] border-signal pl-3 text-[20px] font-bold [box-shadow:-2px_0_0_var(--ink)] print:text-[24px]">
        Tap early, let go at once. {plan.kind.caution}
      </p>
    </article>
  );
}
