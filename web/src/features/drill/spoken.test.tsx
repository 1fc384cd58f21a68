import { act, renderHook } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { canSpeak, say, sayNoMore } from "../../ui/voice";
import { useSpoken } from "./spoken";

class Said {
  onend?: () => void;
  constructor(readonly text: string) {}
}

describe("what is spoken", () => {
  const said: Said[] = [];
  const cancel = vi.fn();
  beforeEach(() => {
    said.length = 0;
    vi.useFakeTimers();
    vi.stubGlobal("SpeechSynthesisUtterance", Said);
    vi.stubGlobal("speechSynthesis", { cancel, speak: (one: Said) => said.push(one) });
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });
  const words = () => said.map((one) => one.text);

  it("takes the place of what is being said, and tells when it is over", () => {
    const done = vi.fn();
    say("They post on the head", done);
    expect(cancel).toHaveBeenCalled();
    expect(done).not.toHaveBeenCalled();
    said[0]!.onend!();
    expect(done).toHaveBeenCalledOnce();
  });

  it("is nothing, and no fault, where the machine has no voice", () => {
    vi.unstubAllGlobals();
    expect(canSpeak()).toBe(false);
    expect(() => {
      say("Round");
      sayNoMore();
    }).not.toThrow();
  });

  it("counts in, then calls in the drill's pace, silent calls only shown", () => {
    const showing = vi.fn();
    const calls = [
      { word: "Round", seconds: 4, silent: false },
      { word: "Your stance", seconds: 2, silent: true },
      { word: "Hips", seconds: 4, silent: false },
    ];
    const { result } = renderHook(() => useSpoken(calls, showing));
    act(() => result.current.start(0));
    expect(words()).toEqual(["3"]);
    act(() => void vi.advanceTimersByTime(3000));
    expect(words()).toEqual(["3", "2", "1", "Round"]);
    act(() => void vi.advanceTimersByTime(4000));
    expect(showing).toHaveBeenLastCalledWith(1);
    expect(words().at(-1)).toBe("Round");
    act(() => result.current.setPace(2));
    act(() => void vi.advanceTimersByTime(2000));
    expect(words().at(-1)).toBe("Hips");
    act(() => void vi.advanceTimersByTime(7999));
    expect(result.current.running).toBe(true);
    act(() => void vi.advanceTimersByTime(1));
    expect(result.current.running).toBe(false);
    expect(showing).toHaveBeenLastCalledWith(3);
  });

  it("stops at once and begins again where it stood", () => {
    const { result } = renderHook(() => useSpoken([{ word: "Round", seconds: 4, silent: false }], vi.fn()));
    act(() => result.current.start(0));
    act(() => result.current.stop());
    act(() => void vi.advanceTimersByTime(20_000));
    expect(words()).toEqual(["3"]);
  });
});
