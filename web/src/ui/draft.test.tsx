import { act, renderHook } from "@testing-library/react";
import { beforeEach, describe, expect, it } from "vitest";
import { hasDraft, useDraft } from "./draft";

beforeEach(() => localStorage.clear());

describe("what is typed", () => {
  it("is kept from the first change on, with the revision it was begun on", () => {
    const first = renderHook(() => useDraft("m/a", 7, { cue: "" }));
    expect(hasDraft("m/a")).toBe(false);
    act(() => first.result.current.change((now) => ({ ...now, cue: "They sit" })));
    first.unmount();
    const again = renderHook(() => useDraft("m/a", 9, { cue: "" }));
    expect(again.result.current.kept).toBe(true);
    expect(again.result.current.draft).toEqual({ base: 7, value: { cue: "They sit" } });
  });

  it("loses nothing when two changes come at once", () => {
    const { result } = renderHook(() => useDraft("m/b", 1, { made: 0, value: 0 }));
    act(() => {
      result.current.change((now) => ({ ...now, made: 1 }));
      result.current.change((now) => ({ ...now, value: 2 }));
    });
    expect(result.current.draft.value).toEqual({ made: 1, value: 2 });
  });

  it("is forgotten when it is dropped, and stays forgotten", () => {
    const { result, unmount } = renderHook(() => useDraft("m/c", 1, "old"));
    act(() => result.current.change(() => "new"));
    act(() => result.current.drop());
    unmount();
    expect(hasDraft("m/c")).toBe(false);
    expect(renderHook(() => useDraft("m/c", 1, "old")).result.current.draft.value).toBe("old");
  });

  it("that cannot be read is no draft", () => {
    localStorage.setItem("narrowgate-draft:m/d", "{half");
    expect(renderHook(() => useDraft("m/d", 3, "old")).result.current.draft).toEqual({
      base: 3,
      value: "old",
    });
  });
});
