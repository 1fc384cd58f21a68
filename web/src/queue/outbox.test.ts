// @vitest-environment jsdom
import { beforeEach, expect, it, vi } from "vitest";

beforeEach(() => localStorage.clear());

async function loaded(who: string) {
  vi.resetModules();
  const { setOwner } = await import("../ui/kept");
  setOwner(who);
  const { outbox } = await import("./outbox");
  return { box: outbox<string>("letters", (letter) => ({ id: letter, words: letter })), setOwner };
}

it("keeps what waits over a reload, for the one who wrote it", async () => {
  const { box, setOwner } = await loaded("tamsin");
  const heard = vi.fn();
  box.subscribe(heard);
  box.keep(["one", "two"]);
  expect(heard).toHaveBeenCalledTimes(1);
  setOwner("bram");
  expect(box.waiting()).toEqual([]);
  const again = await loaded("tamsin");
  expect(again.box.waiting()).toEqual(["one", "two"]);
  again.box.keep([]);
  expect((await loaded("tamsin")).box.waiting()).toEqual([]);
});
