import { EVENING, step } from "./evening";
import { describe, expect, it } from "vitest";
import {
  behind,
  calledIn,
  clockWords,
  hereIn,
  later,
  notchAt,
  pressed,
  remaining,
  type Press,
} from "./clock";

const press = (deed: Press["deed"], at: number, more: Partial<Press> = {}): Press => ({
  id: "p",
  deed,
  step: at,
  ago: 0,
  ...more,
});

describe("a class by this device's clock", () => {
  it("goes from step to step until one waits", () => {
    expect(later(EVENING, 59_000).step).toBe(1);
    expect(later(EVENING, 60_000).step).toBe(2);
    const waiting = later(EVENING, 200_000);
    expect(waiting.step).toBe(2);
    expect(waiting.left).toBe(-110_000);
    const on = pressed(waiting, press("forward", 2));
    expect(later(on, 9_000).step).toBe(3);
    expect(later(on, 10_000).step).toBe(4);
    expect(later(on, 65_000)).toMatchObject({ step: 6, left: 35_000 });
    expect(later(on, 5_000_000).step).toBe(7);
  });

  it("stands while it is stopped, and before it is begun", () => {
    const stopped = pressed(later(EVENING, 20_000), press("stop", 1));
    expect(later(stopped, 900_000)).toMatchObject({ step: 1, left: 40_000 });
    expect(pressed(stopped, press("go", 1)).state).toBe("running");
    expect(later({ ...EVENING, state: "ready" }, 900_000).step).toBe(1);
  });

  it("takes no press that is meant for another step", () => {
    const second = later(EVENING, 61_000);
    expect(pressed(second, press("forward", 1))).toBe(second);
    expect(pressed(second, press("longer", 1, { seconds: 30 }))).toBe(second);
  });

  it("begins again, and goes back within the first seconds", () => {
    const rounds = later(pressed(later(EVENING, 61_000), press("forward", 2)), 20_000);
    expect(rounds.step).toBe(4);
    expect(pressed(rounds, press("back", 4))).toMatchObject({ step: 4, left: 40_000 });
    expect(pressed(pressed(rounds, press("forward", 4)), press("back", 5)).step).toBe(4);
  });

  it("leaves something of a step that is made shorter", () => {
    expect(pressed(EVENING, press("longer", 1, { seconds: 30 })).left).toBe(90_000);
    expect(pressed(EVENING, press("longer", 1, { seconds: -300 })).left).toBe(10_000);
  });

  it("ends with the last step only when somebody says so", () => {
    const talk = pressed(pressed(EVENING, press("skip", 1)), press("skip", 2));
    expect(later(talk, 900_000)).toMatchObject({ step: 7, state: "running" });
    expect(pressed(talk, press("forward", 7)).state).toBe("over");
  });

  it("tells the round, what comes next and how far behind it is", () => {
    const rounds = later(pressed(later(EVENING, 61_000), press("forward", 2)), 20_000);
    expect(hereIn(rounds)).toMatchObject({ round: 1, rounds: 2, next: { step: { number: 5 } } });
    expect(hereIn(later(rounds, 32_000))).toMatchObject({ step: { number: 5 }, round: 2 });
    expect(remaining(EVENING)).toBe(250_000);
    expect(behind(EVENING, Date.parse("2026-11-27T19:00:00Z"))).toBe(10_000);
  });

  it("finds the call of the moment", () => {
    const calls = {
      ...step(1, "round", 60),
      calls: [
        { at: 0, answer: 2 },
        { at: 12, answer: 0 },
      ],
    };
    expect(calledIn(calls, 11_900)).toEqual({ number: 1, answer: 2 });
    expect(calledIn(calls, 12_000)).toEqual({ number: 2, answer: 0 });
    expect(calledIn(step(1, "round", 60), 5_000)).toBeUndefined();
  });

  it("writes the clock so that it ends at nought", () => {
    expect(clockWords(95_000)).toBe("1:35");
    expect(clockWords(900)).toBe("0:01");
    expect(clockWords(0)).toBe("0:00");
    expect(clockWords(-20_400)).toBe("+0:20");
  });

  it("turns a dial by the clock, and stays at the last notch where a round is made longer", () => {
    const dial = { ...step(1, "round", 100), notches: 5 };
    expect([0, 19_999, 20_000, 99_999, 130_000].map((ran) => notchAt(dial, ran))).toEqual([1, 1, 2, 5, 5]);
    expect(notchAt(step(1, "round", 100), 0)).toBeUndefined();
  });
});
