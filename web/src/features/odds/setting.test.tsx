import { act, renderHook } from "@testing-library/react";
import type { ReactNode } from "react";
import { MemoryRouter, useLocation } from "react-router";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { letGo, settle } from "./moving";
import { settingQuery, useMoving, useSetting } from "./setting";

beforeEach(() => {
  vi.useFakeTimers();
});
afterEach(() => {
  letGo();
  vi.useRealTimers();
});

function at(address: string) {
  return renderHook(
    () => {
      const [setting, change, drag] = useSetting();
      return { setting, change, drag, moving: useMoving(), address: useLocation().search };
    },
    {
      wrapper: ({ children }: { children: ReactNode }) => (
        <MemoryRouter initialEntries={[address]}>{children}</MemoryRouter>
      ),
    },
  ).result;
}

test("what is under the hand counts at once, and the address follows once it rests", () => {
  const page = at("/?late=1&aim=even");
  act(() => page.current.drag("late", 1.5));
  act(() => page.current.drag("late", 2.0000001));
  expect(page.current.setting).toMatchObject({ late: 2, aim: "even" });
  expect(page.current.moving).toBe(true);
  expect(page.current.address).toBe("?late=1&aim=even");
  act(() => {
    vi.runAllTimers();
  });
  expect(page.current.setting.late).toBe(2);
  expect(page.current.moving).toBe(false);
  expect(page.current.address).toBe("?aim=even&late=2");
});

test("two sliders moved in one go are both written", () => {
  const page = at("/");
  act(() => page.current.drag("late", 3));
  act(() => page.current.drag("read", 0.8));
  act(() => {
    vi.runAllTimers();
  });
  expect(new URLSearchParams(page.current.address)).toEqual(new URLSearchParams("late=3&read=0.8"));
});

test("another choice takes along what is still under the hand", () => {
  const page = at("/");
  act(() => page.current.drag("late", 4));
  act(() => page.current.change({ aim: "even" }));
  expect(page.current.setting).toMatchObject({ late: 4, aim: "even" });
  expect(new URLSearchParams(page.current.address).get("late")).toBe("4");
});

test("a link followed before the hand rests keeps what it did", () => {
  const page = at("/?late=1");
  act(() => page.current.drag("late", 2.5));
  expect(settingQuery(new URLSearchParams(page.current.address))).toBe("?late=2.5");
});

test("what is put away before the hand rests is written down first", () => {
  const page = at("/?late=1");
  act(() => page.current.drag("late", 2.5));
  act(settle);
  expect(page.current).toMatchObject({ moving: false, address: "?late=2.5" });
});

test("a value out of range in the address is the usual one", () => {
  expect(at("/?read=7&late=NaN").current.setting).toMatchObject({ read: 0.25, late: 0.5 });
});
