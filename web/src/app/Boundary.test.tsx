import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { Link, MemoryRouter, Route, Routes } from "react-router";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { BoundedRoute } from "./Boundary";

let thrown: Error;
function Breaks(): never {
  throw thrown;
}

beforeEach(() => void vi.spyOn(console, "error").mockImplementation(() => {}));
afterEach(() => void vi.restoreAllMocks());

function page() {
  return render(
    <MemoryRouter initialEntries={["/broken"]}>
      <Link to="/whole">elsewhere</Link>
      <Routes>
        <Route element={<BoundedRoute />}>
          <Route path="/broken" element={<Breaks />} />
          <Route path="/whole" element={<p>Here all is well</p>} />
        </Route>
      </Routes>
    </MemoryRouter>,
  );
}

it("keeps the rest alive when a page breaks, and offers a way on", async () => {
  thrown = new TypeError("x is undefined");
  page();
  expect(screen.getByRole("heading", { level: 1 })).toHaveTextContent("This page could not be shown");
  expect(screen.getByRole("button", { name: "Load it again" })).toBeVisible();
  await userEvent.click(screen.getByRole("link", { name: "elsewhere" }));
  expect(screen.getByText("Here all is well")).toBeVisible();
});

it("says when it is a part of the program that could not be fetched", () => {
  thrown = new TypeError("Failed to fetch dynamically imported module: /assets/FlowPage.js");
  page();
  expect(screen.getByRole("alert")).toHaveTextContent("could not be fetched");
});
