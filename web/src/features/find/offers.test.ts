import { describe, expect, it } from "vitest";
import type { Schemas } from "../../api/client";
import type { Entry } from "./entries";
import { isKeep, offersOf, preferred } from "./offers";
import { Search } from "./search";

const entry = (kind: Entry["kind"], title: string, names = "") => ({ kind, title, names }) as Entry;
const onMap = new Search([
  entry("Situation", "Low, arms round your head"),
  entry("They", "They sit back and wait"),
  entry("Edit", "Trap an arm", "edit change"),
]);
const onPage = new Search([entry("Do", "Edit Trap an arm"), entry("Do", "Dark room")]);
const place = { id: "low", title: "Low" } as Schemas["Situation"];

const taken = (typed: string, at?: Schemas["Situation"]) => {
  const offers = offersOf({ onMap, onPage }, typed, at);
  const offer = offers[preferred(offers)]!;
  return isKeep(offer)
    ? `keep “${offer.words}” ${offer.about?.id ?? ""}`.trim()
    : `${offer.entry.kind}: ${offer.entry.title}`;
};

describe("what Enter takes", () => {
  it.each([
    ["they sit back", "They: They sit back and wait"],
    ["arms round the head", "Situation: Low, arms round your head"],
    ["edit trap", "Do: Edit Trap an arm"],
    ["change trap", "Edit: Trap an arm"],
    ["dark room", "Do: Dark room"],
    ["hop over the legs", "keep “hop over the legs”"],
    ["sit on the chest and grab a collar", "keep “sit on the chest and grab a collar”"],
  ])("of “%s” is %s", (typed, offer) => {
    expect(taken(typed)).toBe(offer);
  });

  it("is a question about the place where one is", () => {
    expect(taken("hop over the legs", place)).toBe("keep “hop over the legs” low");
  });
});

it("keeping the question is always the last line, and nothing typed offers nothing", () => {
  expect(isKeep(offersOf({ onMap, onPage }, "sit", place).at(-1)!)).toBe(true);
  expect(offersOf({ onMap, onPage }, "  ", place)).toEqual([]);
});
