import type { Schemas } from "../../api/client";
import { STAGE_LABEL } from "../../labels";

/** The denial that costs least, and where it is taught. */
export function LeastWork({ hold }: { hold: Schemas["Hold"] }) {
  const least = hold.denials[0];
  if (!least) return null;
  const needs = least.needs.map((id) => `“${hold.needs.find((n) => n.id === id)?.title ?? id}”`);
  return (
    <p>
      <span className="font-semibold">Least work: </span>
      take away {needs.join(" and ")}
      <span className="text-quiet"> ({taughtAt(least)})</span>.
    </p>
  );
}

function taughtAt({ needs, stages }: Schemas["Denial"]): string {
  if (stages.length > 0)
    return `taught ${stages.map((s) => STAGE_LABEL[s as keyof typeof STAGE_LABEL].toLowerCase()).join(", ")}`;
  return needs.length > 1 ? "not taught together at any stage" : "taught at no stage";
}
