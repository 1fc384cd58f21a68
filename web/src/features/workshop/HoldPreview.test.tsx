import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { render, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { Schemas } from "../../api/client";
import { HoldPreview } from "./HoldPreview";

const map = { id: "house", revision: 7 } as Schemas["Map"];

/** The preview of a pin, while the server answers so; what it was asked. */
function shown(status: number, body: unknown) {
  const asked: Promise<unknown>[] = [];
  vi.stubGlobal("fetch", (request: Request) => {
    asked.push(request.json());
    return Promise.resolve(Response.json(body, { status }));
  });
  render(
    <QueryClientProvider client={new QueryClient()}>
      <HoldPreview map={map} parts={[{ list: "holds", id: "ride", part: { title: "Shin ride" } }]} />
    </QueryClientProvider>,
  );
  return asked;
}

afterEach(() => vi.unstubAllGlobals());

describe("what would stop a pin that is being typed", () => {
  it("is asked for with the parts and told with what nothing is taught against", async () => {
    const need = (id: string, title: string, taught: Record<string, string[]>) => ({
      id,
      title,
      work: 1,
      taught,
    });
    const asked = shown(200, [
      {
        id: "ride",
        title: "Shin ride",
        kind: "pin",
        at: ["low"],
        needs: [
          need("shin", "The shin lies across", { joined: ["push"] }),
          need("hip", "The hip is held", {}),
        ],
        denials: [{ needs: ["shin"], work: 1, stages: ["joined"] }],
      },
    ]);
    const said = await screen.findByRole("status", { name: "What would stop it" });
    expect(said).toHaveTextContent("take away “The shin lies across” (taught joined).");
    expect(said).toHaveTextContent("Nothing is taught there against: the hip is held.");
    expect(await asked[0]).toEqual({
      parts: [{ list: "holds", id: "ride", part: { title: "Shin ride" } }],
    });
  });

  it("says why it cannot stand so, in the words of the form", async () => {
    void shown(422, {
      title: "Not possible",
      status: 422,
      detail: "“work” is 9; it must lie between 1 and 5.",
    });
    expect(
      await screen.findByText(
        "It cannot stand so: “Work to take it away” is 9; it must lie between 1 and 5.",
      ),
    ).toBeVisible();
    expect(screen.queryByRole("status")).toBeNull();
  });
});
