import { describe, expect, it } from "vitest";
import type { Schemas } from "../../api/client";
import { foldedIn, risingIn, standingFor } from "./folding";

const place = (id: string, stage: Schemas["Situation"]["stage"], entry: number) =>
  ({ id, stage, entry }) as Schemas["Situation"];
const nothing = () => false;

describe("what is folded away", () => {
  const here = [
    place("loose", "early", 3),
    place("framed", "joined", 0),
    place("cupped", "joined", 0),
    place("locked", "last-chance", 0),
  ];

  it("is what is only passed through, if there are several, and no last chance", () => {
    expect([...foldedIn(here, nothing, 9)]).toEqual(["framed", "cupped"]);
    expect([...foldedIn(here.slice(0, 2), nothing, 9)]).toEqual([]);
    expect([...foldedIn(here, (s) => s.id === "framed", 9)]).toEqual([]);
  });

  it("is never the whole family", () => {
    expect([...foldedIn(here.slice(1, 3), nothing, 9)]).toEqual([]);
  });

  it("is what few start from in a long column, the marked last", () => {
    const column = [place("a", "early", 1), place("b", "early", 2), place("c", "early", 5)];
    expect([...foldedIn(column, nothing, 2)]).toEqual(["a"]);
    expect([...foldedIn(column, (s) => s.id === "a", 2)]).toEqual(["b"]);
  });
});

it("a stage is stood for by the place where most start", () => {
  const here = [
    place("a", "joined", 1),
    place("b", "joined", 4),
    place("c", "joined", 4),
    place("d", "early", 0),
  ];
  expect(standingFor(here).map((s) => s.id)).toEqual(["d", "b"]);
});

it("a place rises where it is shown as worth more than every earlier one", () => {
  const here = [
    place("a", "early", 1),
    place("b", "early", 1),
    place("c", "joined", 1),
    place("d", "settled", 1),
  ];
  const rising = risingIn(here, {
    a: { worth: 0.6 },
    b: { worth: 0.65 },
    c: { worth: 0.67 },
    d: { worth: 0.671 },
  });
  expect([...rising].map(([id, earlier]) => [id, earlier.id])).toEqual([["c", "b"]]);
});
