import { act, renderHook } from "@testing-library/react";
import { beforeEach, describe, expect, it } from "vitest";
import { hasDraft, useDraft } from "./draft";
import { setOwner } from "./kept";

beforeEach(() => {
  localStorage.clear();
  setOwner("tamsin");
});

const any = (value: unknown): value is never => value !== undefined;
const hasCue = (value: unknown): value is { cue: string } =>
  typeof value === "object" && value !== null && "cue" in value;

describe("what is typed", () => {
  it("is kept from the first change on, with the revision it was begun on", () => {
    const first = renderHook(() => useDraft("m/a", 7, { cue: "" }, hasCue));
    expect(hasDraft("m/a")).toBe(false);
    act(() => first.result.current.change((now) => ({ ...now, cue: "They sit" })));
    first.unmount();
    const again = renderHook(() => useDraft("m/a", 9, { cue: "" }, hasCue));
    expect(again.result.current.kept).toBe(true);
    expect(again.result.current.draft).toEqual({ base: 7, value: { cue: "They sit" } });
  });

  it("loses nothing when two changes come at once", () => {
    const { result } = renderHook(() =>
      useDraft<{ made: number; value: number }>("m/b", 1, { made: 0, value: 0 }, any),
    );
    act(() => {
      result.current.change((now) => ({ ...now, made: 1 }));
      result.current.change((now) => ({ ...now, value: 2 }));
    });
    expect(result.current.draft.value).toEqual({ made: 1, value: 2 });
  });

  it("is forgotten when it is dropped, and stays forgotten", () => {
    const { result, unmount } = renderHook(() => useDraft<string>("m/c", 1, "old", any));
    act(() => result.current.change(() => "new"));
    act(() => result.current.drop());
    unmount();
    expect(hasDraft("m/c")).toBe(false);
    expect(renderHook(() => useDraft<string>("m/c", 1, "old", any)).result.current.draft.value).toBe("old");
  });

  it.each([
    "{half",
    '"a text"',
    '{"base":3}',
    '{"base":"3","value":{"cue":"x"}}',
    '{"base":3,"value":{"words":"x"}}',
  ])("that an older program kept as %s is offered as text", (kept) => {
    localStorage.setItem("narrowgate:tamsin:draft:m/d", kept);
    const { result } = renderHook(() => useDraft("m/d", 3, { cue: "new" }, hasCue));
    expect(result.current.draft).toEqual({ base: 3, value: { cue: "new" } });
    expect(result.current.kept).toBe(false);
    expect(result.current.unreadable).toBe(kept);
  });
});
