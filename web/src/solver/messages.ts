import type { Packed } from "#solver";

/** What the page asks of a worker: to fetch a map and hold it, or a call of the compiled program about the one it holds. */
export type Question = { call: "bring"; mapId: string } | { call: string; with: unknown[] };

/** A question on its way; `number` says to which one an answer belongs. */
export type Asked = { number: number } & Question;

/** What the worker says: a value, what is wrong with the question, or that it could not answer. */
export interface Said {
  number: number;
  value?: Packed | { revision: number };
  problems?: { place: string; message: string }[];
  failed?: string;
}
