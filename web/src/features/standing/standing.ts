import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { askAgain } from "../../api/askAgain";
import { api, unwrap, unwrapNothing, type Schemas } from "../../api/client";
import { hundred } from "../../labels";

export type Standing = Schemas["Standing"];
export type Line = Schemas["StandingLine"];
export type Due = Schemas["DueAnswer"];
export type DueInClass = Schemas["DueInClass"];
export type Gate = Schemas["MovingUpGate"];
export type Gates = Schemas["MovingUp"];
export type Ledger = Schemas["LedgerLine"];
export type Side = Gate["side"];
export type Level = Gates["from"];

export const SIDES: Side[] = ["left", "right"];

// What is logged, decided or asked for changes where people stand; so all of it hangs on the record.
const key = (mapId: string | undefined, ...rest: unknown[]) => ["record", mapId, "standing", ...rest];

export function useStandings(mapId: string | undefined) {
  return useQuery({
    queryKey: key(mapId),
    queryFn: () => unwrap(api.GET("/api/maps/{mapId}/standing", { params: { path: { mapId: mapId! } } })),
    enabled: mapId !== undefined,
  });
}

/** Where somebody stands; oneself, where nobody is named. */
export function useStanding(mapId: string | undefined, person: string | undefined) {
  return useQuery({
    queryKey: key(mapId, person ?? "mine"),
    queryFn: () =>
      person === undefined
        ? unwrap(api.GET("/api/maps/{mapId}/standing/mine", { params: { path: { mapId: mapId! } } }))
        : unwrap(
            api.GET("/api/maps/{mapId}/standing/people/{person}", {
              params: { path: { mapId: mapId!, person } },
            }),
          ),
    enabled: mapId !== undefined,
  });
}

export function useGateList(mapId: string, level: Level) {
  return useQuery({
    queryKey: key(mapId, "gates", level),
    queryFn: () =>
      unwrap(api.GET("/api/maps/{mapId}/standing/gates/{level}", { params: { path: { mapId, level } } })),
  });
}

function useChange<T>(mapId: string, change: (what: T) => Promise<void>) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: change,
    onSuccess: () => askAgain(queries, { queryKey: ["record", mapId] }),
  });
}

export function useAskGates(mapId: string, level: Level) {
  return useChange(mapId, (places: string[]) =>
    unwrapNothing(
      api.PUT("/api/maps/{mapId}/standing/gates/{level}", {
        params: { path: { mapId, level } },
        body: { places },
      }),
    ),
  );
}

export function useAskRepetitions(mapId: string) {
  return useChange(mapId, (many: number) =>
    unwrapNothing(
      api.PUT("/api/maps/{mapId}/standing/goal", { params: { path: { mapId } }, body: { many } }),
    ),
  );
}

export function useDecide(mapId: string, person: string) {
  return useChange(mapId, (decided: Schemas["DecideGate"]) =>
    unwrapNothing(
      api.POST("/api/maps/{mapId}/standing/people/{person}/gates", {
        params: { path: { mapId, person } },
        body: decided,
      }),
    ),
  );
}

/** So many parts of 100, to a tenth where it is little. */
export function costInWords(cost: number): string {
  const parts = cost * 100;
  return parts >= 9.95 ? String(Math.round(parts)) : parts.toFixed(1);
}

/** How long ago a day was, as one says it. */
export function agoInWords(day: string, today: string): string {
  const days = Math.round((Date.parse(today) - Date.parse(day)) / 86_400_000);
  if (days <= 0) return "today";
  if (days === 1) return "yesterday";
  return days < 21
    ? `${days} days ago`
    : days < 70
      ? `${Math.round(days / 7)} weeks ago`
      : `${Math.round(days / 30)} months ago`;
}

/** About so many, where some of it is only reckoned from the minutes of classes. */
export function timesInWords(all: number, counted: number): string {
  const rounded = Math.round(all);
  return counted >= all - 0.5 ? String(rounded) : `about ${rounded}`;
}

/** What was seen of a gate, and what it says. */
export function evidenceInWords(gate: Gate): string {
  const parts = [
    gate.live.of > 0 ? `out in ${gate.live.well} of ${gate.live.of} rounds` : "no round yet",
    gate.clean.of > 0 ? `${gate.clean.well} of ${gate.clean.of} repetitions clean` : undefined,
  ];
  return parts.filter(Boolean).join("; ");
}

/** What is missing to a gate, in one word or a few. */
export function saysInWords(gate: Gate): string {
  if (gate.decision?.shown) return "shown";
  if (gate.says === "enough") return "enough was seen";
  return gate.missing === 1 ? "1 more round that ends out" : `${gate.missing} more rounds that end out`;
}

/** Which side is weaker, as far as that can be said. */
export function weakerInWords(sides: Schemas["BothSides"], what: string): string {
  const { left, right, weaker, leftIsWeaker } = sides;
  if (left.of === 0 && right.of === 0) return `No ${what} with a side yet.`;
  const both = `left ${left.well} of ${left.of}, right ${right.well} of ${right.of}`;
  if (!weaker) return `${both}: no difference that can be told yet.`;
  const sure = hundred(weaker === "left" ? leftIsWeaker : 1 - leftIsWeaker);
  return `${both}: the ${weaker} side is weaker, ${sure} to ${100 - Number(sure)}.`;
}

/** Those who have something due first, what costs most before; the others by name. */
export function inOrder(lines: Line[]): Line[] {
  return [...lines].sort(
    (one, other) => (other.first?.cost ?? 0) - (one.first?.cost ?? 0) || one.name.localeCompare(other.name),
  );
}
