import { render } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import type { Schemas } from "../../api/client";
import { LeastWork } from "./LeastWork";

function said(...denials: Schemas["Denial"][]): string | null {
  const need = (id: string, title: string) => ({ id, title, work: 1, taught: {} });
  const hold: Schemas["Hold"] = {
    id: "mount",
    title: "Mount",
    kind: "pin",
    at: ["low"],
    needs: [need("seat", "The seat is low"), need("post", "A hand can post")],
    denials,
  };
  return render(<LeastWork hold={hold} />).container.textContent;
}

describe("the least work that stops a hold", () => {
  it("names the needs and the stages at which that is taught", () => {
    expect(said({ needs: ["seat"], work: 1, stages: ["early", "last-chance"] })).toBe(
      "Least work: take away “The seat is low” (taught early, last chance).",
    );
  });

  it("is the first of several", () => {
    expect(
      said({ needs: ["post"], work: 1, stages: ["joined"] }, { needs: ["seat"], work: 4, stages: [] }),
    ).toContain("A hand can post");
  });

  it("says when nothing is taught for it", () => {
    expect(said({ needs: ["seat"], work: 1, stages: [] })).toContain("(taught at no stage)");
    expect(said({ needs: ["seat", "post"], work: 2, stages: [] })).toBe(
      "Least work: take away “The seat is low” and “A hand can post” (not taught together at any stage).",
    );
  });

  it("says nothing where there is nothing to deny", () => {
    expect(said()).toBe("");
  });
});
