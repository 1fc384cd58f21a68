import { expect, it } from "vitest";
import { whereInWords } from "./where";

const content = {
  situations: [{ id: "low", title: "Low mount" }, { id: "high" }],
  techniques: [{ id: "bridge", title: "Bridge" }],
  reactions: [{ technique: "bridge", from: "low", responses: [{}, {}] }],
};

it.each([
  ["/situations/0/stage", "Situation “Low mount”, Lateness"],
  ["/situations/1/held/head", "Situation number 2, What is held: head"],
  ["/reactions/0/responses/1/leads", "Reaction “Bridge” in “Low mount”, response 2: It leads to"],
  ["/reactions/0/works", "Reaction “Bridge” in “Low mount”, How often it gets going"],
  ["/techniques/0", "Technique “Bridge”"],
  ["/holds/3/needs/all/0/title", "Pin or finish number 4, What they need"],
  ["side.json#/situations/0/stage", "Situation number 1, Lateness, in side.json"],
  ["side.json line 2, column 4: Unexpected end of input", "In side.json"],
  ["/title", "The map’s name"],
  ["/format", "The file"],
  ["", "The file"],
  ["line 3, often", "Line 3, column often"],
  ["line 2, situation", "Line 2, column situation"],
  ["line 1", "Line 1"],
  ["line 7, column 3: Unexpected end of input", "The file"],
  ["/situations/0/nonsense/0", "Situation “Low mount”, nonsense"],
])("tells %s as %s", (place, words) => {
  expect(whereInWords(place, content)).toBe(words);
});
