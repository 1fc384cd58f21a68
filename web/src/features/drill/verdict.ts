import type { Schemas } from "../../api/client";
import { indexOf } from "../../model/mapIndex";
import { closedInWords } from "../map";

/** Why this pair practises something else: what closed the link, or that it is taught later. */
export function verdictInWords(map: Schemas["Map"], verdict: Schemas["DrillVerdict"]): string {
  const reaction = indexOf(map).reaction(verdict.reaction);
  return reaction && verdict.because.length > 0
    ? `closed ${closedInWords(map, reaction, verdict.because)}`
    : "taught later, above this pair’s level";
}
