import { describe, expect, it } from "vitest";
import type { Schemas } from "../../api/client";
import { sectionLabel } from "../../labels";
import {
  holds,
  keeping,
  nearest,
  newLesson,
  parting,
  fixing,
  leavingOut,
  practisedAs,
  usualTitle,
  type Lesson,
  type Line,
} from "./lesson";
import { listed } from "../../ui/listed";
import { groupInWords, notInWords, shortNames } from "./words";

const names = (id: string) => ({ a: "Ash", b: "Bel", c: "Cor" })[id] ?? id;

function lesson(part: Partial<Lesson> = {}): Lesson {
  return { ...newLesson("2026-11-27", undefined, { aim: undefined, read: 0.25, late: 0.5 }), ...part };
}

function line(not: Line["not"]): Line {
  return { not } as Line;
}

describe("the words of a class", () => {
  it("calls people by their first names, by the whole where two share it", () => {
    const short = shortNames([
      { id: "1", name: "Ash Grove" },
      { id: "2", name: "Ash Hill" },
      { id: "3", name: "Bel Moor" },
    ]);
    expect([...short.values()]).toEqual(["Ash Grove", "Ash Hill", "Bel"]);
    expect(listed(["a", "b", "c"])).toBe("a, b and c");
    expect(listed([])).toBe("");
  });

  it("says who does not, and what hurts only where it was told", () => {
    expect(
      notInWords(
        line([
          { person: "a", because: "closed", closings: [{ kind: "injury", what: "knee" }] },
          { person: "b", because: "closed", closings: [] },
          { person: "c", because: "enough-new", closings: [] },
        ]),
        names,
      ),
    ).toEqual([
      "Ash feeds only: mind the knee.",
      "Bel feeds only: this is closed for them.",
      "Cor has enough that is new and goes on with it.",
    ]);
  });

  it("marks what has to be minded in a pair", () => {
    const group = (why: Schemas["ClassWhy"][]) => groupInWords({ people: ["a", "b"], why }, names);
    expect(group([{ note: "apart", amount: 5.4 }])).toEqual({ words: "5 kg apart", mind: false });
    expect(group([{ note: "over-limit", amount: 30 }]).mind).toBe(true);
    expect(group([{ note: "shown", person: "b" }]).words).toBe("Bel missed it, Ash shows it");
  });
});

describe("changes of a class", () => {
  it("fixes, frees and leaves out one unit at a time", () => {
    const fixed = { ...lesson(), ...fixing(lesson({ out: ["new:x"] }), "new:x", 9) };
    expect(fixed.fixed).toEqual([{ unit: "new:x", minutes: 9 }]);
    expect(fixed.out).toEqual([]);
    expect({ ...fixed, ...fixing(fixed, "new:x", undefined) }.fixed).toEqual([{ unit: "new:x" }]);
    expect({ ...fixed, ...leavingOut(fixed, "new:x") }).toMatchObject({ fixed: [], out: ["new:x"] });
  });

  it("keeps two together or apart, never both, and nobody with two", () => {
    const kept = { ...lesson(), ...keeping(lesson(), "a", "b") };
    expect(holds(kept.together, "b", "a")).toBe(true);
    const other = { ...kept, ...keeping(kept, "b", "c") };
    expect(other.together).toEqual([{ one: "b", other: "c" }]);
    const parted = { ...other, ...parting(other, "c", "b") };
    expect(parted.together).toEqual([]);
    expect(holds(parted.apart, "b", "c")).toBe(true);
    expect({ ...parted, ...parting(parted, "b", "c") }.apart).toEqual([]);
  });

  it("opens the class of today, or the next", () => {
    const at = (day: string) => ({ day }) as Schemas["ListedClass"];
    expect(nearest([at("2026-11-20"), at("2026-11-27"), at("2026-12-01")], "2026-11-27")?.day).toBe(
      "2026-11-27",
    );
    expect(nearest([at("2026-11-20"), at("2026-12-01")], "2026-11-27")?.day).toBe("2026-12-01");
    expect(nearest([at("2026-11-20")], "2026-11-27")).toBeUndefined();
  });

  it("begins with the people and the time of the class before", () => {
    const before = lesson({ here: ["a"], starts: "18:00", minutes: 90, fixed: [{ unit: "new:x" }], turn: 4 });
    const next = newLesson("2026-12-04", before, { aim: "even", read: 0, late: 1 });
    expect(next).toMatchObject({
      here: ["a"],
      starts: "18:00",
      minutes: 90,
      fixed: [],
      turn: 0,
      aim: "even",
    });
    expect(next.title).toBe(usualTitle("2026-12-04", undefined));
  });

  it("practises a live part by the dial, for as long, and back", () => {
    const ways = [
      { kind: "live", key: "live:a" },
      { kind: "dial", key: "live:a~dial" },
    ];
    const live = { unit: { key: "live:a", ways }, minutes: 12 } as Line;
    const dialled = practisedAs(lesson({ fixed: [{ unit: "new:b" }] }), live, "live:a~dial");
    expect(dialled).toEqual({
      fixed: [{ unit: "new:b" }, { unit: "live:a~dial", minutes: 12 }],
      out: ["live:a"],
    });
    const back = practisedAs(
      lesson(dialled),
      { unit: { key: "live:a~dial", ways }, minutes: 9 } as Line,
      "live:a",
    );
    expect(back.fixed).toEqual([{ unit: "new:b" }, { unit: "live:a", minutes: 9 }]);
    expect(back.out).toEqual([]);
    expect(sectionLabel("live", "dial")).toBe("Dial");
    expect(sectionLabel("live", "gate")).toBe("Gate");
    expect(sectionLabel("live", "live")).toBe("Live");
  });
});
