import MiniSearch, { type SearchResult } from "minisearch";
import { stemmer } from "stemmer";
import { plain } from "../../ui/find";
import type { Entry } from "./entries";

/** Words that a coach's sentence is full of and that tell no place from another. */
const LITTLE = new Set(
  (
    "a about after an and are as at be but by can do does for from get gets go goes got had has have he her him his how i " +
    "if im is it its just keep keeps me my of on or s she so some somebody someone t that the their them then there they " +
    "theyre this to try tries up us was we what when where which while who will with you your"
  ).split(" "),
);

/** What a coach looks for first, for what the words fit as well as anything else. */
const WEIGHT: Partial<Record<Entry["kind"], number>> = {
  Situation: 1.5,
  They: 1.1,
  You: 1.15,
  Finish: 0.9,
  Pin: 0.9,
  Asked: 0.4,
  Fault: 0.4,
  Check: 0.4,
  Caution: 0.4,
  Do: 0.6,
};

/** Kinds whose second line only says what taking them does. */
const SAYS_ONLY: Entry["kind"][] = ["Movement", "Matchup", "Aim"];

/** What is found only by somebody who says that this is what is wanted. */
const ASKED_FOR: Partial<Record<Entry["kind"], string[]>> = {
  Edit: ["edit", "change", "chang"],
  New: ["new", "add"],
};

function weightOf({ kind }: Entry, term: string): number {
  const asked = ASKED_FOR[kind];
  return asked ? (asked.includes(term) ? 20 : 0.2) : (WEIGHT[kind] ?? 0.6);
}

/** The forms under which a word is kept: as it is typed, and its stem. Nothing of a little word. */
function formsOf(word: string): string[] {
  if (LITTLE.has(word)) return [];
  const stem = stemmer(word);
  return stem === word ? [word] : [word, stem];
}

const BETWEEN_WORDS = /[^\p{L}\p{N}-]+/u;

/** The words of a text; one with a hyphen is its parts and the whole without it, for some write it as one. */
function wordsOf(text: string): string[] {
  return plain(text)
    .replaceAll("'", "")
    .replaceAll("–", "-")
    .split(BETWEEN_WORDS)
    .flatMap((word) => {
      const parts = word.split("-").filter(Boolean);
      return parts.length > 1 ? [...parts, parts.join("")] : parts;
    });
}

/** The words of a sentence that tell one place from another. */
export const tellingWords = (typed: string): string[] => wordsOf(typed).filter((word) => !LITTLE.has(word));

/** Something found, and how many of the telling words it answers; one that only looks like it counts for less. */
export interface Hit {
  entry: Entry;
  answers: number;
}

/** What a word counts for of which only the beginning was found to fit, and one found under a slip of the finger. */
const BEGUN = 0.9;
const SLIPPED = 0.8;

/** How well what was found has a word: 1 where it has it, less where it only looks like it, 0 where it has nothing of it. */
function answered(word: string, isLast: boolean, found: SearchResult): number {
  const forms = formsOf(word);
  if (!forms.some((form) => found.queryTerms.includes(form))) return 0;
  if (found.terms.some((term) => forms.includes(term))) return 1;
  // The last word may not be whole yet.
  if (found.terms.some((term) => forms.some((form) => term.startsWith(form)))) return isLast ? 1 : BEGUN;
  return SLIPPED;
}

/**
 * Looks things up by a coach's sentence: other forms of a word, the trade's other names, a last word that is not yet
 * whole, a slip of the finger. The most fitting first; with nothing typed, nothing.
 */
export class Search {
  private readonly index: MiniSearch;

  constructor(private readonly entries: Entry[]) {
    this.index = new MiniSearch({
      fields: ["title", "names", "movements", "around", "family"],
      tokenize: wordsOf,
      processTerm: formsOf,
    });
    this.index.addAll(
      entries.map((entry, id) => ({
        id,
        title: entry.title,
        names: entry.names ?? "",
        movements: entry.movements ?? "",
        around: `${SAYS_ONLY.includes(entry.kind) ? "" : (entry.detail ?? "")} ${entry.around ?? ""}`,
        family: entry.family ?? "",
      })),
    );
  }

  find(typed: string, most: number): Hit[] {
    const words = tellingWords(typed);
    if (words.length === 0) return [];
    const last = words.at(-1)!;
    const found = this.index.search(typed, {
      tokenize: wordsOf,
      processTerm: formsOf,
      boost: { title: 2, names: 2, movements: 1, around: 0.8, family: 0.4 },
      prefix: (term, at, terms) => (at === terms.length - 1 && term === last) || term.length > 3,
      fuzzy: (term) => (term.length > 4 ? 0.2 : false),
      weights: { prefix: 0.7, fuzzy: 0.3 },
      boostDocument: (id, term) => weightOf(this.entries[id as number]!, term),
    });
    const hits = found.map((result) => {
      const answers = words.reduce((sum, word) => sum + answered(word, word === last, result), 0);
      return { entry: this.entries[result.id as number]!, answers, score: result.score * answers };
    });
    return placesFirst(hits.sort((a, b) => b.score - a.score)).slice(0, most);
  }
}

/** Every place once before any is told of again, so that the first few are not all the same one. */
function placesFirst(hits: Hit[]): Hit[] {
  const seen = new Set<string>();
  const isAgain = ({ entry: { place } }: Hit) => {
    if (place === undefined) return false;
    const again = seen.has(place);
    seen.add(place);
    return again;
  };
  const again: Hit[] = [];
  const first = hits.filter((hit) => !isAgain(hit) || !again.push(hit));
  return [...first, ...again];
}
