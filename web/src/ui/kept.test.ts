// @vitest-environment jsdom
import { beforeEach, describe, expect, it, vi } from "vitest";

async function fresh() {
  vi.resetModules();
  return import("./kept");
}

beforeEach(() => localStorage.clear());

describe("what is kept on this device", () => {
  it("is read by its owner only", async () => {
    const kept = await fresh();
    kept.writeKept("draft:a", "nobody's");
    expect(localStorage).toHaveLength(0);
    kept.setOwner("tamsin");
    kept.writeKept("draft:a", "mine");
    expect(kept.readKept("draft:a")).toBe("mine");
    kept.setOwner("bram");
    expect(kept.readKept("draft:a")).toBeNull();
    expect(kept.countKept("queue")).toBe(0);
  });

  it("is thrown away without what is another's", async () => {
    const kept = await fresh();
    kept.setOwner("bram");
    kept.writeKept("draft:a", "his");
    kept.setOwner("tamsin");
    kept.writeKept("draft:a", "hers");
    kept.writeKept("asked", "[]");
    expect(kept.countKept("queue")).toBe(2);
    kept.wipeKept();
    expect(kept.countKept("queue")).toBe(0);
    kept.setOwner("bram");
    expect(kept.readKept("draft:a")).toBe("his");
  });

  it("hears of another who signs in in another tab, and of nobody else", async () => {
    const kept = await fresh();
    kept.setOwner("tamsin");
    const heard = vi.fn();
    const deaf = kept.onOther(heard);
    const says = (newValue: string | null) =>
      window.dispatchEvent(new StorageEvent("storage", { key: "narrowgate-who", newValue }));
    says("tamsin");
    says(null);
    expect(heard).not.toHaveBeenCalled();
    says("bram");
    expect(heard).toHaveBeenCalledOnce();
    deaf();
  });

  it("survives a store that takes nothing", async () => {
    const kept = await fresh();
    kept.setOwner("tamsin");
    vi.spyOn(Storage.prototype, "setItem").mockImplementationOnce(() => {
      throw new DOMException("full", "QuotaExceededError");
    });
    kept.writeKept("draft:a", "long");
    expect(kept.readKept("draft:a")).toBeNull();
  });
});
