import type { Packed } from "#solver";
import type { Schemas } from "../api/client";

type Overview = Schemas["OddsOverview"];
type Odds = Schemas["Odds"];

/** To nine decimals, as the server rounds: the rest is noise of the arithmetic. */
export const nine = (value: number): number => Math.round(value * 1e9) / 1e9;

/** Reads off what `Packed` holds, in the order in which it was put in. */
class Reading {
  #figure = 0;
  #mark = 0;
  #text = 0;

  constructor(private readonly packed: Packed) {}

  figure(): number {
    return nine(this.packed.figures[this.#figure++]!);
  }

  /** A figure that there may be none of. */
  figureIfAny(): number | undefined {
    const value = this.figure();
    return Number.isNaN(value) ? undefined : value;
  }

  mark(): number {
    return this.packed.marks[this.#mark++]!;
  }

  flag(): boolean {
    return this.mark() === 1;
  }

  text(): string {
    return this.packed.texts[this.#text++]!;
  }

  /** A text that there may be none of. */
  textIfAny(): string | undefined {
    return this.text() || undefined;
  }

  hasText(): boolean {
    return this.#text < this.packed.texts.length;
  }

  times<T>(count: number, read: () => T): T[] {
    return Array.from({ length: count }, read);
  }
}

/** Leaves out what there is none of, as the server does. */
export function stated<T extends object>(value: T): T {
  return Object.fromEntries(Object.entries(value).filter(([, part]) => part !== undefined)) as T;
}

/** What each situation is worth, in the server's words. */
export function overviewOf(packed: Packed, revision: number): Overview {
  const from = new Reading(packed);
  const start = from.figure();
  const converged = from.flag();
  const situations: Overview["situations"] = {};
  while (from.hasText()) {
    const id = from.text();
    const worth = from.figure();
    const guardOrBetter = from.figure();
    const reversal = from.figure();
    const tap = from.figure();
    const best = from.textIfAny();
    const forced = from.textIfAny();
    const stop = from.flag();
    const usable = from.flag();
    situations[id] = stated({ worth, best, stop, usable, guardOrBetter, reversal, tap, forced });
  }
  return { revision, start, converged, situations };
}

/** Every situation's odds, in the server's words. */
export function oddsOf(packed: Packed, revision: number): Odds {
  const from = new Reading(packed);
  const start = from.figure();
  const read = from.figure();
  const late = from.figure();
  const converged = from.flag();
  const aim = from.text();
  const matchup = from.text();
  const situations: Odds["situations"] = {};
  while (from.hasText()) situations[from.text()] = situationOf(from);
  return { revision, aim, matchup, read, late, start, converged, situations };
}

function situationOf(from: Reading): Odds["situations"][string] {
  const [worth, lower, upper, margin, guardOrBetter, halfOrBetter, neverEnds] = from.times(7, () =>
    from.figure(),
  ) as [number, number, number, number, number, number, number];
  const exchanges = from.figureIfAny();
  const seconds = from.figureIfAny();
  const best = from.textIfAny();
  const forced = from.textIfAny();
  const stop = from.flag();
  const kinds = from.mark();
  const taught = from.mark();
  const ends = Object.fromEntries(from.times(kinds, () => [from.text(), from.figure()]));
  const reactions = from.times(taught, () => reactionOf(from));
  return stated({
    ...{ worth, lower, upper, best, margin, stop, forced, guardOrBetter, halfOrBetter, ends, neverEnds },
    ...{ exchanges, seconds, reactions },
  });
}

function reactionOf(from: Reading): Schemas["ReactionOdds"] {
  const [takes, inTime, works, underWay, worth] = from.times(5, () => from.figure()) as [
    number,
    number,
    number,
    number,
    number,
  ];
  const reaction = from.text();
  const closings = from.mark();
  const responses = from.mark();
  return {
    ...{ reaction, usable: closings === 0, known: responses > 0 },
    closedBy: from.times(closings, () => ({ kind: from.text(), what: from.text() })) as Schemas["Closing"][],
    ...{ takes, inTime, works, underWay, worth },
    responses: from.times(responses, () => responseOf(from)),
  };
}

function responseOf(from: Reading): Schemas["ResponseOdds"] {
  const chance = from.figure();
  const worth = from.figure();
  const response = from.text();
  const lands = from.text();
  return { response, chance, lands, answered: from.flag(), worth };
}

/** Where one may be, in the server's words. */
export function likelyOf(packed: Packed): Schemas["LikelySituations"] {
  const from = new Reading(packed);
  const next = from.flag()
    ? stated({ where: from.flag(), segment: from.textIfAny(), fact: from.textIfAny() })
    : undefined;
  const likely: Schemas["LikelySituations"]["likely"] = [];
  while (from.hasText()) likely.push({ situation: from.text(), chance: from.figure() });
  return stated({ likely, next });
}

/** A cue to be read, by the ids of the map. */
export interface Cue {
  situation: string;
  reaction: string;
  price: number;
  choices: { technique: string; worth: number; right: boolean }[];
}

/** Cues in the order in which they come. */
export function deckOf(packed: Packed): Cue[] {
  const from = new Reading(packed);
  const deck: Cue[] = [];
  while (from.hasText()) {
    const situation = from.text();
    const reaction = from.text();
    const price = from.figure();
    const choices = from.times(from.mark(), () => {
      const technique = from.text();
      return { technique, worth: from.figure(), right: from.flag() };
    });
    deck.push({ situation, reaction, price, choices });
  }
  return deck;
}

/** What is easily taken for one another, in the server's words. */
export function lookAlikesOf(packed: Packed): Schemas["LookAlike"][] {
  const from = new Reading(packed);
  const half = () => {
    const situation = from.text();
    const answer = from.text();
    return { situation, answer, chance: from.figure(), loss: from.figure() };
  };
  const pairs: Schemas["LookAlike"][] = [];
  while (from.hasText()) {
    const after = from.textIfAny();
    pairs.push(stated({ after, one: half(), other: half() }));
  }
  return pairs;
}

/** Whose a piece is and what of the body, in the order in which the core has them. */
const PLAYERS = ["you", "they"] as const;
const PARTS = ["head", "trunk", "hips", "left-arm", "right-arm", "left-leg", "right-leg"] as const;

/** Two bodies under a hand, in the server's words. */
export function handledOf(packed: Packed): Schemas["PostureDrawn"] {
  const from = new Reading(packed);
  const width = from.mark();
  const height = from.mark();
  const ground = from.text();
  const pieces = from.times(from.mark(), () =>
    stated({
      who: PLAYERS[from.mark()]!,
      name: from.text(),
      part: PARTS[from.mark()]!,
      fill: from.text(),
      line: from.textIfAny(),
      seam: from.textIfAny(),
      hair: from.textIfAny(),
      seen: from.figure(),
    }),
  );
  const middle = { x: from.mark(), y: from.mark() };
  const handles = from.times(from.mark(), () => ({ joint: from.text(), x: from.mark(), y: from.mark() }));
  const faults = stated({
    overlap: from.figure(),
    overlapping: from.textIfAny(),
    degrees: from.figure(),
    joint: from.textIfAny(),
  });
  const let_ = from.times(from.mark(), () => from.text());
  return { drawing: { width, height, ground, pieces }, middle, handles, faults, let: let_, whole: false };
}
