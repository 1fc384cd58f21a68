import { useQuery, useQueryClient } from "@tanstack/react-query";
import { askAgain } from "../../api/askAgain";
import { api, unwrap, unwrapNothing, type Schemas } from "../../api/client";
import type { Lesson } from "./lesson";

export type KeptShape = Schemas["KeptShape"];

const SHORTEST = 20;
const LONGEST = 180;

function isLength(minutes: number): boolean {
  return minutes >= SHORTEST && minutes <= LONGEST;
}

function shapesQuery(minutes: number) {
  return {
    queryKey: ["class-shapes", minutes],
    queryFn: () => unwrap(api.GET("/api/class-shapes", { params: { query: { minutes } } })),
  };
}

/** The gym's own shapes, for a class of some length. */
export function useShapes(minutes: number) {
  return useQuery({ ...shapesQuery(minutes), enabled: isLength(minutes) });
}

/** Asks for the same for another length; nothing for a length that no class has, or without a network. */
export function useShapesFor() {
  const queries = useQueryClient();
  return (minutes: number): Promise<KeptShape[] | undefined> =>
    isLength(minutes)
      ? queries.fetchQuery(shapesQuery(minutes)).catch(() => undefined)
      : Promise.resolve(undefined);
}

/** A shape for a class so many times as long: the least of each part rounded down, the most up. */
export function stretched(shape: Schemas["Span"][], times: number): Schemas["Span"][] {
  return times > 0 && Number.isFinite(times)
    ? shape.map(({ section, least, most }) => ({
        section,
        least: Math.min(LONGEST, Math.floor(least * times)),
        most: Math.min(LONGEST, Math.ceil(most * times)),
      }))
    : shape;
}

/** Keeps shapes for the gym, and takes them out. */
export function useKeepShape() {
  const queries = useQueryClient();
  const after = () => askAgain(queries, { queryKey: ["class-shapes"] });
  return {
    keep: async (title: string, minutes: number, shape: Schemas["Span"][]) => {
      await unwrapNothing(
        api.POST("/api/class-shapes", { body: { id: crypto.randomUUID(), title, minutes, shape } }),
      );
      await after();
    },
    remove: async (shape: string) => {
      await unwrapNothing(api.DELETE("/api/class-shapes/{shape}", { params: { path: { shape } } }));
      await after();
    },
  };
}

/** The gym's shape that a class has; nothing where it has one of the house's, or its own. */
export function shapeOf(lesson: Pick<Lesson, "usual" | "shape">, kept: KeptShape[]): KeptShape | undefined {
  if (lesson.usual || !lesson.shape) return undefined;
  const span = new Map(lesson.shape.map((one) => [one.section, one]));
  return kept.find((one) =>
    one.spans.every(
      ({ section, least, most }) =>
        (span.get(section)?.least ?? 0) === least && (span.get(section)?.most ?? 0) === most,
    ),
  );
}
