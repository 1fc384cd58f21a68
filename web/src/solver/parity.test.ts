import { held, load, odds, overview, type Answer, type Packed } from "#solver";
import { moved } from "#hand";
import * as practice from "#practice";
import { readdirSync, readFileSync } from "node:fs";
import { beforeAll, describe, expect, it } from "vitest";

/** What the same core computed on another machine, raw: written by the build of `browser/`. */
interface Fixture {
  map: unknown;
  cases: Case[];
}

interface Case {
  setting: object;
  overview: Written;
  odds: Written;
  marks: object;
  held: Written;
  seed: number;
  deck: Written;
  calls: number;
  order: Written;
  lookAlikes: Written;
}

interface Written {
  figures: (number | null)[];
  marks: number[];
  texts: string[];
}

const FIXTURES = new URL("../../../browser/target/parity/", import.meta.url);
const CARDS = 20;
const REPETITIONS = 7;
/** Of figures above 1, such as seconds, so much of themselves. */
const APART = 1e-12;

function valueOf(answer: Answer): Packed {
  if ("problems" in answer) throw new Error(JSON.stringify(answer.problems));
  return answer.value;
}

function expectSame(told: Packed, written: Written): void {
  expect(told.texts).toEqual(written.texts);
  expect([...told.marks]).toEqual(written.marks);
  expect(told.figures.length).toBe(written.figures.length);
  const apart = written.figures.findIndex((figure, at) => {
    const here = told.figures[at]!;
    return figure === null
      ? Number.isFinite(here)
      : !(Math.abs(here - figure) <= APART * Math.max(1, Math.abs(figure)));
  });
  expect(
    apart < 0 ? undefined : { apart, here: told.figures[apart], there: written.figures[apart] },
  ).toBeUndefined();
}

const names = readdirSync(FIXTURES).filter((name) => name.endsWith(".json"));

describe("what was compiled computes what the core computes", () => {
  it("has the demo's map and random ones to replay", () => {
    expect(names).toContain("demo.json");
    expect(names.length).toBeGreaterThan(40);
  });

  describe.each(names)("%s", (name) => {
    const fixture = JSON.parse(readFileSync(new URL(name, FIXTURES), "utf8")) as Fixture;
    beforeAll(() => {
      valueOf(load(fixture.map));
      valueOf(practice.load(fixture.map));
    });

    it.each(fixture.cases.map((one) => [JSON.stringify(one.setting), one] as const))("%s", (_, one) => {
      expectSame(valueOf(overview(one.setting)), one.overview);
      expectSame(valueOf(odds(one.setting)), one.odds);
      expectSame(valueOf(held(one.marks, one.setting)), one.held);
      expectSame(valueOf(practice.deck(one.setting, CARDS, one.seed)), one.deck);
      expectSame(valueOf(practice.calls(one.calls, REPETITIONS, one.seed)), one.order);
      expectSame(valueOf(practice.lookAlikes(one.setting)), one.lookAlikes);
    });
  });
});

/** A posture with a joint moved, as it was drawn on another machine. */
interface Handled {
  posture: { id: string };
  joint: string;
  way: [right: number, up: number, towards: number];
  moved: Written;
}

describe("bodies under a hand are those that the core draws", () => {
  const all = JSON.parse(
    readFileSync(new URL("../../../browser/target/hands.json", import.meta.url), "utf8"),
  ) as Handled[];
  it.each(all.map((one) => [`${one.posture.id}, ${one.joint}`, one] as const))("%s", (_, one) => {
    expectSame(valueOf(moved(one.posture, one.joint, ...one.way)), one.moved);
  });

  it("refuses what cannot be taken hold of, in words", () => {
    const answer = moved(all[0]!.posture, "you.waist", 0, 0, 0);
    expect("problems" in answer && answer.problems[0]?.message).toContain("cannot be taken hold of");
  });
});
