import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { setOwner } from "../../ui/kept";
import { MoveResponse } from "./MoveResponse";
import { aMap } from "../../test/aMap";

const map = aMap({
  id: "house",
  revision: 7,
  situations: [{ id: "low", title: "Low" }],
  techniques: [
    { id: "trap", title: "Trap and bridge" },
    { id: "frame", title: "Frame and scoop" },
  ],
  reactions: [
    { id: "low-trap", from: "low", technique: "trap", responses: [] },
    { id: "low-frame", from: "low", technique: "frame", responses: [] },
  ],
});

const done = vi.fn();
let queries: QueryClient;

beforeEach(() => {
  localStorage.clear();
  done.mockClear();
  queries = new QueryClient();
  render(
    <QueryClientProvider client={queries}>
      <MoveResponse map={map} reaction="low-trap" response="post" draftKey="typed" onDone={done} />
    </QueryClientProvider>,
  );
});
afterEach(() => vi.unstubAllGlobals());

/** A server that answers every request alike, and what it was asked. */
function server(status: number, body: unknown) {
  const asked: Request[] = [];
  vi.stubGlobal("fetch", (request: Request) => {
    asked.push(request);
    return Promise.resolve(Response.json(body, { status }));
  });
  return asked;
}

async function moveTo(letters: string) {
  const box = screen.getByRole("combobox", { name: "Move it to another reaction" });
  await userEvent.click(box);
  await userEvent.type(box, `${letters}{Enter}`);
}

describe("moving a response", () => {
  it("offers the other reactions, not its own, and sends it to the one chosen", async () => {
    const asked = server(200, map);
    await userEvent.click(screen.getByRole("combobox"));
    expect(screen.getAllByRole("option").map((o) => o.textContent)).toEqual(["Frame and scoop in Low"]);
    await moveTo("scoop");
    await waitFor(() => expect(done).toHaveBeenCalledOnce());
    expect(new URL(asked[0]!.url).pathname).toBe(
      "/api/maps/house/reactions/low-trap/responses/post/reaction",
    );
    expect(await asked[0]!.json()).toEqual({ revision: 7, reaction: "low-frame" });
  });

  it("waits until what was typed is saved or thrown away", async () => {
    const asked = server(200, map);
    setOwner("tamsin");
    localStorage.setItem("narrowgate:tamsin:draft:typed", "{}");
    await moveTo("scoop");
    expect(screen.getByRole("alert")).toHaveTextContent("Save or cancel what you changed first");
    expect(asked).toEqual([]);
    localStorage.clear();
    await moveTo("scoop");
    await waitFor(() => expect(done).toHaveBeenCalledOnce());
    expect(screen.queryByRole("alert")).toBeNull();
  });

  it("says why it was refused, keeps the form, and looks at the map anew", async () => {
    server(409, { title: "Changed meanwhile", detail: "Nothing was overwritten." });
    const again = vi.spyOn(queries, "invalidateQueries");
    await moveTo("scoop");
    expect(await screen.findByText(/Nothing was overwritten/)).toBeInTheDocument();
    expect(again).toHaveBeenCalledWith({ queryKey: ["map", "house"] });
    expect(done).not.toHaveBeenCalled();
  });
});
