import { STAGE_LABEL } from "../../labels";
import type { Ladder } from "./holds";
import { runs } from "./words";

/** How a partner builds it, need by need, for one who practises the denials. */
export function Brief({ ladder }: { ladder: Ladder }) {
  const finish = ladder.kind === "finish";
  return (
    <section aria-label="The feeder’s brief">
      <h2 className="border-b-2 border-ink pb-1 font-bold">For the feeder</h2>
      {ladder.neverClosed ? (
        <p className="mt-2 font-semibold">
          Children practise the places and the denials only. Nobody closes this on a child.
        </p>
      ) : (
        <ol className="mt-2 space-y-1">
          {starts(ladder).map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ol>
      )}
      {ladder.feeder && (
        <dl className="mt-2 grid grid-cols-[auto_minmax(0,1fr)] gap-x-4 gap-y-1">
          {said(ladder.feeder).map(([what, words]) => (
            <div key={what} className="contents">
              <dt className="text-quiet">{what}</dt>
              <dd>{words}</dd>
            </div>
          ))}
        </dl>
      )}
      <p className="mt-2 text-quiet">
        {finish ? "Stop at the tap, by hand or by word, and let go at once." : "Weight off at a word."} Your
        instructor, the rules of the gym and the law come before this page.
      </p>
    </section>
  );
}

function said(feeder: NonNullable<Ladder["feeder"]>): [string, string][] {
  const lines: [string, string][] = [
    ["weight", feeder.weight],
    ["care", feeder.care],
    ["give", feeder.gives],
  ];
  return lines.filter(([, words]) => words !== "");
}

/** From each stage: what is there already, what is built, and where to stop. */
function starts(ladder: Ladder): string[] {
  const numbered = (stage: string) =>
    ladder.rungs.filter((rung) => rung.stage === stage).map((rung) => rung.number);
  const lines: string[] = [];
  let before: number[] = [];
  for (const { stage } of ladder.steps) {
    const now = numbered(stage);
    if (now.length > 0) {
      const have = before.length > 0 ? `have ${runs(before)}, ` : "";
      lines.push(`${STAGE_LABEL[stage]}: ${have}build ${runs(now)}, stop.`);
    }
    before = [...before, ...now];
  }
  return lines;
}
