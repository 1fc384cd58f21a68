import type { Packed } from "#solver";

/** What the page asks of the worker; `number` says to which question an answer belongs. */
export type Asked = { number: number } & (
  { call: "bring"; mapId: string } | { call: "overview" | "odds" | "preview" | "held"; with: unknown[] }
);

/** What the worker says: a value, what is wrong with the question, or that it could not answer. */
export interface Said {
  number: number;
  value?: Packed | { revision: number };
  problems?: { place: string; message: string }[];
  failed?: string;
}
