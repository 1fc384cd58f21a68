import { describe, expect, it } from "vitest";
import { askedOf } from "./weight";

describe("what an address asks of a place", () => {
  it("is as usual unless it says otherwise", () => {
    expect(askedOf(new URLSearchParams())).toEqual({
      yourWeight: 80,
      yourStature: 178,
      theirWeight: 80,
      theirStature: 178,
      done: [],
      view: "standing",
    });
  });

  it("is read, and what it says wrongly is passed over", () => {
    const asked = askedOf(
      new URLSearchParams(
        "theirWeight=110&yourWeight=9000&theirStature=x&done=seat-up&done=trap-hand-left&done=fly&view=sideways",
      ),
    );
    expect(asked).toMatchObject({ theirWeight: 110, yourWeight: 80, theirStature: 178, view: "standing" });
    expect(asked.done).toEqual(["trap-hand-left", "seat-up"]);
  });
});
