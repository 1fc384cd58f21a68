import { describe, expect, it } from "vitest";
import { rewritten } from "../../ui/address";
import { beginning, editingIn, editingNames } from "./editing";

const asked = (text: string) => editingIn(new URLSearchParams(text));

describe("what is edited", () => {
  it("stands in the address", () => {
    expect(asked("edit=low")).toEqual({ id: "low" });
    expect(asked("copy=low&late=2")).toEqual({ id: "low", copy: true });
    expect(asked("new=&late=2")).toBe("new");
    expect(asked("late=2")).toBeUndefined();
  });

  it.each([[{ id: "low" }], [{ id: "low", copy: true }], ["new" as const], [undefined]])(
    "comes back from the address, which keeps the rest: %s",
    (editing) => {
      const after = rewritten(new URLSearchParams("edit=high&copy=side&new=&late=2"), editingNames(editing));
      expect(editingIn(after)).toEqual(editing);
      expect(after.get("late")).toBe("2");
    },
  );

  it("begins where the address says", () => {
    const params = new URLSearchParams("new=&at=low");
    expect(beginning("holds", params).at).toEqual(["low"]);
    expect(beginning("holds", new URLSearchParams("new=")).at).toEqual([]);
    expect(beginning("facts", params)).toEqual({ title: "" });
    expect(rewritten(params, editingNames(undefined)).has("at")).toBe(false);
    const early = new URLSearchParams("new=&family=scarf&stage=early");
    expect(beginning("situations", early)).toMatchObject({ family: "scarf", stage: "early", title: "" });
    expect(beginning("facts", early)).toEqual({ title: "" });
  });
});
