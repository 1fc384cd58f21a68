import { act, render, screen } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { Failed } from "./Notice";

const problem = (status: number) => ({ status, title: "No", detail: "It did not work." });

beforeEach(() => vi.useFakeTimers());
afterEach(() => vi.useRealTimers());

describe("a page that could not be filled", () => {
  it.each([0, 429, 503])("goes on by itself after %i", (status) => {
    const retry = vi.fn();
    const { unmount } = render(<Failed problem={problem(status)} retry={retry} />);
    expect(screen.getByText("This page goes on by itself as soon as it can.")).toBeInTheDocument();
    act(() => void vi.advanceTimersByTime(9_000));
    expect(retry).toHaveBeenCalledTimes(2);
    unmount();
    act(() => void vi.advanceTimersByTime(60_000));
    expect(retry).toHaveBeenCalledTimes(2);
  });

  it.each([404, 422, 500])("waits for the person after %i", (status) => {
    const retry = vi.fn();
    render(<Failed problem={problem(status)} retry={retry} />);
    act(() => void vi.advanceTimersByTime(60_000));
    expect(retry).not.toHaveBeenCalled();
    act(() => screen.getByRole("button", { name: "Try again" }).click());
    expect(retry).toHaveBeenCalledOnce();
  });
});
