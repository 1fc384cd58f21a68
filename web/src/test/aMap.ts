import type { Schemas } from "../api/client";

type Whole = Schemas["Map"];

const EMPTY: Whole = {
  id: "map",
  revision: 1,
  title: "A map",
  about: "",
  house: { thinkBase: 0.2, thinkPerBit: 0.15, grips: [] },
  families: [],
  facts: [],
  movements: [],
  principles: [],
  techniques: [],
  situations: [],
  outcomes: [],
  reactions: [],
  aims: [],
  matchups: [],
  rules: [],
  holds: [],
  postures: [],
  retired: [],
};

/** A map of which a test says only what it is about; of its parts, too. */
export function aMap(about: { [K in keyof Whole]?: unknown }): Whole {
  return { ...EMPTY, ...about } as Whole;
}
