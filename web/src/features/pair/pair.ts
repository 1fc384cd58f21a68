import { useQuery } from "@tanstack/react-query";
import { api, unwrap, type Schemas } from "../../api/client";
import { INJURY_LABEL } from "../../labels";

/** Who trains here, by name. */
export function usePeople(wanted = true) {
  return useQuery({ queryKey: ["people"], queryFn: () => unwrap(api.GET("/api/people")), enabled: wanted });
}

/** What two people make of a matchup; nothing while none is set. */
export function usePair(you: string | undefined, they: string | undefined) {
  return useQuery({
    queryKey: ["people", "pair", you, they],
    queryFn: () => unwrap(api.GET("/api/people/pair", { params: { query: { you: you!, they: they! } } })),
    enabled: you !== undefined && they !== undefined,
    retry: false,
  });
}

function gap(value: number | null | undefined, unit: string, more: string, less: string): string | undefined {
  if (value === null || value === undefined) return undefined;
  const size = Math.round(Math.abs(value));
  return size === 0 ? undefined : `${size} ${unit} ${value > 0 ? more : less}`;
}

/** A pair as one says it: who is under whom, what they have over the other, what hurts. */
export function pairInWords(pair: Schemas["Pair"]): string {
  const gaps = [
    gap(pair.weightGap, "kg", "heavier", "lighter"),
    gap(pair.heightGap, "cm", "taller", "shorter"),
  ].filter((words) => words !== undefined);
  const hurt = pair.injuries.map((injury) => INJURY_LABEL[injury] ?? injury);
  return [
    `${pair.you} under ${pair.they}`,
    gaps.length > 0 ? gaps.join(" and ") : undefined,
    hurt.length > 0 ? `mind the ${hurt.join(" and the ")}` : undefined,
  ]
    .filter((words) => words !== undefined)
    .join(", ");
}
