import type { Schemas } from "../../api/client";
import { hundred } from "../../labels";
import { indexOf } from "../../model/mapIndex";
import { lowerFirst, placeTitle } from "../map";
import type { Learned } from "./events";
import type { Ending } from "./log";

/** Ways in which a round ends, as they are offered: out, on the way, not out. */
export const ENDINGS: { title: string; ways: { ending: Ending; title: string; says: string }[] }[] = [
  {
    title: "Guard or better",
    ways: [
      { ending: "reversal", title: "Reversal", says: "now on top" },
      { ending: "guard", title: "Guard", says: "legs round them" },
      { ending: "standing", title: "Standing", says: "both up" },
      { ending: "counter", title: "Counter-attack", says: "they had to tap" },
    ],
  },
  {
    title: "On the way",
    ways: [
      { ending: "half", title: "Half guard", says: "one leg caught" },
      { ending: "turtle", title: "Turtle", says: "and going on" },
    ],
  },
  {
    title: "Not out",
    ways: [
      { ending: "held", title: "Still held", says: "at the bell" },
      { ending: "tap", title: "Tap", says: "you tapped" },
    ],
  },
];

const TO: Record<Ending, string> = {
  reversal: "to a reversal",
  guard: "to guard",
  standing: "to standing",
  counter: "to a counter-attack",
  half: "to half guard",
  neutral: "to a level race",
  turtle: "to turtle",
  tap: "tapped",
  held: "still held",
};

/** How it ended, behind where it started. */
export function endedInWords(ending: Ending): string {
  return TO[ending];
}

/** The family of a place, as it stands above its title. */
export function familyTitle(map: Schemas["Map"], place: string): string {
  const family = indexOf(map).situation(place)?.family;
  return map.families.find((one) => one.id === family)?.title ?? "";
}

/** A place with its family, within a sentence: many titles mean something only below it. */
export function placeInWords(map: Schemas["Map"], place: string): string {
  const [family, title] = [familyTitle(map, place), placeTitle(map, place)];
  return family === "" || title.toLowerCase().includes(family.toLowerCase())
    ? lowerFirst(title)
    : `${lowerFirst(family)}: ${lowerFirst(title)}`;
}

export function rounds(many: number): string {
  return many === 1 ? "1 round" : `${many} rounds`;
}

/** What is believed of a place by now, in a sentence. */
export function learnedInWords(learned: Learned, place: string): string {
  const seen = rounds(learned.rounds);
  const range = `${hundred(learned.low)} to ${hundred(learned.high)}`;
  return learned.tooLittle
    ? `of 100 from ${place}; too little to say yet: ${range}. ${seen}; the map says ${hundred(learned.written)}.`
    : `of 100 from ${place} (${range}). ${seen}; the map says ${hundred(learned.written)}.`;
}

/** What was logged of somebody, behind their name. `name` is what others are called. */
export function loggedInWords(
  map: Schemas["Map"],
  logged: Schemas["LoggedEvent"],
  name: (id: string | null | undefined) => string,
): string {
  const side = logged.side ? `, ${logged.side} side` : "";
  if (logged.kind === "repetitions") {
    const what = lowerFirst(logged.techniqueTitle ?? "");
    const clean = logged.clean === null || logged.clean === undefined ? "" : `, ${logged.clean} clean`;
    return `${logged.role === "second" ? "fed" : "repeated"} ${what} ${logged.many} times${clean}${side}.`;
  }
  if (logged.kind === "gate") {
    return `${logged.shown ? "showed the answer" : "has not shown the answer yet"} to the gate ${placeInWords(map, logged.place!)}${side}.`;
  }
  const how = logged.reactionTitle
    ? `, by ${lowerFirst(logged.reactionTitle)}`
    : logged.nothing
      ? ", nothing got going"
      : "";
  const where = logged.partner ? `under ${name(logged.partner)}, ` : "below, ";
  return `${where}${placeInWords(map, logged.place!)}, ${endedInWords(logged.ending!)}${how}${side}.`;
}
