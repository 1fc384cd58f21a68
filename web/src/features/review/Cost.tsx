import type { Schemas } from "../../api/client";
import { tenths } from "../../labels";

type Finding = Schemas["Finding"];

/** Kinds that are not about odds, and what they are about. */
const NOT_ODDS: Record<string, string> = {
  "missing-caution": "safety",
  "forbidden-finish": "safety",
  unreachable: "nothing yet",
};

/** Less is not worth a number. */
const LITTLE = 0.0005;

/** Below half a start of a hundred a finding is a small one. */
const SMALL = 0.005;

/** True for what is told at once: what costs something, what is about safety, and what nobody can price. */
export function isLarge(finding: Finding): boolean {
  const { gain, stake } = finding;
  const unknown = (gain ?? undefined) === undefined && (stake ?? undefined) === undefined;
  return NOT_ODDS[finding.kind] === "safety" || unknown || Math.max(gain ?? 0, stake ?? 0) >= SMALL;
}

/** What it would bring to mend it, or what is lost if the one reaction it is about fails. */
export function Cost({ finding }: { finding: Finding }) {
  const gain = finding.gain ?? undefined;
  const stake = finding.stake ?? undefined;
  const least = Math.max(gain ?? 0, stake ?? 0) < LITTLE;
  if (least || NOT_ODDS[finding.kind]) {
    const known = gain !== undefined || stake !== undefined;
    return (
      <p className="text-quiet md:text-right">
        {NOT_ODDS[finding.kind] ?? (known ? "little" : "cost unknown")}
      </p>
    );
  }
  return (
    <p className="md:text-right">
      <span
        className={`font-bold md:block md:text-[18px] ${gain === undefined ? "text-rust" : "text-green"}`}
      >
        {gain === undefined ? `−${tenths(stake!)}` : `+${tenths(gain)}`}
      </span>{" "}
      <span className="text-quiet">{gain === undefined ? "if it fails" : "at most"}</span>
    </p>
  );
}
