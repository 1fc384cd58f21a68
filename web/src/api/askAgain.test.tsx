import { QueryClient, QueryClientProvider, useQuery } from "@tanstack/react-query";
import { act, render, screen } from "@testing-library/react";
import { expect, it } from "vitest";
import { askAgain } from "./askAgain";

it("never takes an answer given before the change for a fresh one", async () => {
  const asked: ((answer: string) => void)[] = [];
  function List() {
    const list = useQuery({
      queryKey: ["list"],
      queryFn: ({ signal }) =>
        new Promise<string>((resolve, reject) => {
          asked.push(resolve);
          signal.addEventListener("abort", () => reject(new Error("dropped")));
        }),
    });
    return <p>{list.data ?? "nothing yet"}</p>;
  }
  const queries = new QueryClient();
  render(
    <QueryClientProvider client={queries}>
      <List />
    </QueryClientProvider>,
  );
  expect(asked).toHaveLength(1);

  await act(async () => {
    const again = askAgain(queries, { queryKey: ["list"] });
    asked[0]!("as it was before");
    await expect.poll(() => asked.length).toBe(2);
    asked[1]!("as it is now");
    await again;
  });

  expect(await screen.findByText("as it is now")).toBeTruthy();
});

it("drops such an answer where nobody looks any more, too, and whoever looks next asks", async () => {
  const queries = new QueryClient();
  let answer: (text: string) => void = () => {};
  const first = queries.prefetchQuery({
    queryKey: ["list"],
    queryFn: () => new Promise<string>((resolve) => (answer = resolve)),
  });
  const again = askAgain(queries, { queryKey: ["list"] });
  answer("as it was before");
  await Promise.all([first, again]);
  const ask = () => Promise.resolve("as it is now");
  expect(await queries.fetchQuery({ queryKey: ["list"], queryFn: ask, staleTime: 5000 })).toBe(
    "as it is now",
  );
});
