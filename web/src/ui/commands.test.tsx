import { act, renderHook, render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { afterEach, describe, expect, it, vi } from "vitest";
import { useCommand, useCommandKeys, useCommands, useKeysOn } from "./commands";

function Offer({ title, keyName, run }: { title: string; keyName?: string; run: () => void }) {
  useCommand({ title, key: keyName, run });
  return null;
}

function Keys() {
  useCommandKeys();
  return <input aria-label="box" />;
}

afterEach(() => {
  const { result } = renderHook(() => useKeysOn());
  act(() => result.current[1](true));
});

describe("commands", () => {
  it("are offered while what offers them is there", () => {
    const shown = render(<Offer title="Add" run={() => {}} />);
    const { result } = renderHook(() => useCommands());
    expect(result.current.map((c) => c.title)).toEqual(["Add"]);
    act(() => shown.unmount());
    expect(result.current).toEqual([]);
  });

  it("run by their key, the one offered last first, and what they do now", async () => {
    const old = vi.fn();
    const now = vi.fn();
    const page = (run: () => void) => (
      <>
        <Keys />
        <Offer title="Page" keyName="a" run={old} />
        <Offer title="Here" keyName="a" run={run} />
      </>
    );
    const { rerender } = render(page(old));
    rerender(page(now));
    await userEvent.keyboard("a");
    expect(now).toHaveBeenCalledOnce();
    expect(old).not.toHaveBeenCalled();
  });

  it("leave keys alone that are typed into a field, or pressed with Ctrl, or switched off", async () => {
    const run = vi.fn();
    render(
      <>
        <Keys />
        <Offer title="Add" keyName="a" run={run} />
      </>,
    );
    await userEvent.type(screen.getByLabelText("box"), "a");
    act(() => screen.getByLabelText("box").blur());
    await userEvent.keyboard("{Control>}a{/Control}");
    const { result } = renderHook(() => useKeysOn());
    act(() => result.current[1](false));
    await userEvent.keyboard("a");
    expect(run).not.toHaveBeenCalled();
  });
});
