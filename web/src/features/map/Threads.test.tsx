import { expect, it } from "vitest";
import { aMap } from "../../test/aMap";
import { mistakenLandings, threadBetween } from "./Threads";

it("leads from a mistake to each of the map's places that comes of it", () => {
  const map = aMap({
    situations: [{ id: "mount" }, { id: "back" }],
    reactions: [
      { id: "bridge", from: "mount", doNot: "", responses: [{ id: "1", leads: "back" }] },
      {
        id: "push",
        from: "mount",
        doNot: "It gives the back",
        responses: [
          { id: "1", leads: "back" },
          { id: "2", leads: "back" },
          { id: "3", leads: "tap" },
          { id: "4", leads: "mount" },
          { id: "5" },
        ],
      },
    ],
  });
  expect(mistakenLandings(map, "mount")).toEqual(["back"]);
  expect(mistakenLandings(map, "back")).toEqual([]);
});

it("runs beside the gates, not through them", () => {
  expect(threadBetween(new DOMRect(300, 100, 200, 20), new DOMRect(520, 200, 200, 20))).toBe(
    "M 300 110 H 292 V 200 H 510 V 210 H 514",
  );
});
