import { render, screen, within } from "@testing-library/react";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import userEvent from "@testing-library/user-event";
import { MemoryRouter } from "react-router";
import { beforeEach, describe, expect, it, vi } from "vitest";
import type { Schemas } from "../../api/client";
import type { OddsData } from "../odds";
import { BeforeAnyMark, LikelyPlaces } from "./LikelyPlaces";
import type { Marks } from "./marks";
import { Question } from "./Question";
import { aMap } from "../../test/aMap";

const place = (id: string, title: string, entry: number, held = {}) => ({
  id,
  title,
  family: "mount",
  stage: "joined",
  entry,
  held,
});
const map = aMap({
  id: "house",
  families: [{ id: "mount", title: "Mount" }],
  situations: [
    place("high", "High", 2),
    place("guard", "Guard", 0),
    place("low", "Low", 5, { head: "their arms" }),
  ],
  facts: [{ id: "joined", title: "Their hands are joined" }],
  techniques: [
    {
      id: "trap",
      title: "Trap and bridge",
      checkpoints: ["Trap the wrist"],
      cautions: ["Not onto the neck"],
    },
  ],
  reactions: [{ id: "low-trap", from: "low", technique: "trap", responses: [] }],
});
const odds = {
  situations: {
    low: { worth: 0.47, best: "low-trap", stop: false },
    high: { worth: 0.12, stop: false },
    guard: { worth: 1, stop: true },
  },
} as unknown as OddsData;
const none: Marks = { where: "", held: [], free: [], so: [], notSo: [] };
const change = vi.fn();
// Nobody has drawn anything here.
const queries = new QueryClient({ defaultOptions: { queries: { staleTime: Infinity } } });
queries.setQueryData(["pictures", "house", 1], { places: {}, pictures: {}, drawings: {} });
beforeEach(() => void change.mockClear());

function judged(answer: Partial<Schemas["LikelySituations"]>) {
  const whole = { likely: [], ...answer };
  render(
    <MemoryRouter initialEntries={["/?late=1"]}>
      <QueryClientProvider client={queries}>
        <LikelyPlaces map={map} odds={odds} judged={whole} />
      </QueryClientProvider>
    </MemoryRouter>,
  );
}

describe("before anything is marked", () => {
  it("the places where rounds start are offered, the commonest first", () => {
    render(
      <MemoryRouter initialEntries={["/?late=1"]}>
        <QueryClientProvider client={queries}>
          <BeforeAnyMark map={map} odds={odds} />
        </QueryClientProvider>
      </MemoryRouter>,
    );
    const links = screen.getAllByRole("link");
    expect(links.map((link) => link.textContent)).toEqual(["LowMount47", "HighMount12"]);
    expect(links[0]).toHaveAttribute("href", "/map/house/at/low?late=1");
  });
});

describe("where one may be", () => {
  it("begins with the likeliest place, what is free there and the first thing to do, with its caution", () => {
    judged({
      likely: [
        { situation: "low", chance: 0.6 },
        { situation: "high", chance: 0.3 },
      ],
    });
    expect(screen.getByRole("heading", { name: /Low/ })).toHaveTextContent("47");
    expect(screen.getByText("Trap the wrist.")).toBeVisible();
    expect(screen.getByText("Not onto the neck")).toBeVisible();
    expect(
      screen.getByText(/^near arm, far arm, trunk|Free:.*near arm/, { selector: "li:first-child p" }),
    ).toBeVisible();
    expect(screen.getByText("30 of 100 that it is this")).toBeVisible();
  });

  it("says so where nothing is taught", () => {
    judged({ likely: [{ situation: "high", chance: 1 }] });
    expect(screen.getByText(/Nothing is taught from here yet/)).toBeVisible();
  });

  it("says to stay where going on is worth less", () => {
    judged({ likely: [{ situation: "guard", chance: 1 }] });
    expect(screen.getByText("Stay here: going on is worth less.")).toBeVisible();
  });

  it("sets three level and folds the others", () => {
    judged({ likely: ["low", "high", "guard", "low"].map((situation) => ({ situation, chance: 0.25 })) });
    expect(screen.getAllByRole("heading", { level: 3 })).toHaveLength(3);
    expect(screen.getByText("1 less likely")).toBeVisible();
  });

  it("says what to do when no place on the map is held like that", () => {
    judged({});
    expect(screen.getByText(/Nothing on this map is held like that/)).toBeVisible();
  });
});

describe("one question at a time", () => {
  const asked = (marks: Partial<Marks>, next?: Schemas["NextMark"]) =>
    render(<Question map={map} next={next} marks={{ ...none, ...marks }} change={change} />);

  it("is where they are, before anything else", async () => {
    asked({}, { where: false, fact: "joined" });
    expect(screen.queryByRole("group", { name: "The next thing to tell" })).toBeNull();
    await userEvent.click(screen.getByRole("button", { name: "astride" }));
    expect(change).toHaveBeenCalledWith({ where: "astride" });
  });

  it("then what would tell most, whose answer is a mark", async () => {
    asked({ where: "astride" }, { where: false, fact: "joined" });
    const next = within(screen.getByRole("group", { name: "The next thing to tell" }));
    expect(next.getByText("Their hands are joined?")).toBeVisible();
    await userEvent.click(next.getByRole("button", { name: "no" }));
    expect(change).toHaveBeenCalledWith({ notSo: ["joined"] });
  });

  it("can be asked again", async () => {
    asked({ where: "astride" });
    await userEvent.click(screen.getByRole("button", { name: "change" }));
    expect(change).toHaveBeenCalledWith({ where: "" });
  });
});
