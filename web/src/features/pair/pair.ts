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

/** A third of those with whom one trains. */
export type Third = Schemas["RoomThird"]["third"];

const THIRDS: readonly string[] = ["lighter", "middle", "heavier"] satisfies Third[];

/** A third as an address names it; nothing where it names none. */
export function thirdOf(written: string | null): Third | undefined {
  return written !== null && THIRDS.includes(written) ? (written as Third) : undefined;
}

/** How the room is beside oneself. */
export function useRoom(wanted: boolean) {
  return useQuery({ queryKey: ["room"], queryFn: () => unwrap(api.GET("/api/me/room")), enabled: wanted });
}

function gap(value: number | null | undefined, unit: string, more: string, less: string): string | undefined {
  if (value === null || value === undefined) return undefined;
  const size = Math.round(Math.abs(value));
  return size === 0 ? undefined : `${size} ${unit} ${value > 0 ? more : less}`;
}

/** What those on top have over those below; empty where neither is known. */
export function gapsInWords(gaps: { weightGap?: number | null; heightGap?: number | null }): string {
  return [gap(gaps.weightGap, "kg", "heavier", "lighter"), gap(gaps.heightGap, "cm", "taller", "shorter")]
    .filter((words) => words !== undefined)
    .join(" and ");
}

function underWhom(who: string, gaps: string, injuries: string[]): string {
  const hurt = injuries.map((injury) => INJURY_LABEL[injury] ?? injury);
  const mind = hurt.length > 0 ? `mind the ${hurt.join(" and the ")}` : "";
  return [who, gaps, mind].filter(Boolean).join(", ");
}

/** A pair as one says it: who is under whom, what they have over the other, what hurts. */
export function pairInWords(pair: Schemas["Pair"]): string {
  return underWhom(`${pair.you} under ${pair.they}`, gapsInWords(pair), pair.injuries);
}

/** Oneself under a third of the room, as one says it. */
export function roomInWords(room: Schemas["Room"], third: Third): string {
  const gaps = room.thirds.find((one) => one.third === third);
  return underWhom(`You under the ${third} third`, gaps ? gapsInWords(gaps) : "", room.injuries);
}
