import { render } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import type { Schemas } from "../../api/client";
import { Cost } from "./Cost";

function said(kind: string, figures: { gain?: number; stake?: number }): string | null {
  const about = { list: "situations", place: "low" } as const;
  const finding: Schemas["Finding"] = { kind, ...about, reason: "", mend: "", mends: [], ...figures };
  return render(<Cost finding={finding} />).container.textContent;
}

describe("what a finding costs", () => {
  it("is what the starts would gain where that is known", () => {
    expect(said("unanswered-response", { gain: 0.0072 })).toBe("+0.7 at most");
    expect(said("dead-end", { gain: 0.124 })).toBe("+12.4 at most");
  });

  it("is what hangs on the one reaction where it is about one", () => {
    expect(said("single-route", { stake: 0.019 })).toBe("−1.9 if it fails");
  });

  it("says little, unknown, or that it is not about odds", () => {
    expect(said("overload", { gain: 0.0001 })).toBe("little");
    expect(said("single-route", { stake: 0 })).toBe("little");
    expect(said("endless-loop", {})).toBe("cost unknown");
    expect(said("missing-caution", {})).toBe("safety");
    expect(said("forbidden-finish", { stake: 0.2 })).toBe("safety");
    expect(said("unreachable", {})).toBe("nothing yet");
  });
});
