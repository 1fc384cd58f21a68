import type { Schemas } from "../../api/client";
import { tellingWords, type Hit, type Search } from "./search";

/** To keep what was typed as a question, about a place or none. */
export interface Keep {
  words: string;
  about?: Schemas["Situation"];
}

/** A line under the box. */
export type Offer = Hit | Keep;

export const isKeep = (offer: Offer): offer is Keep => "words" in offer;

const MOST_HITS = 7;
const MOST_ACTIONS = 3;

/** Where so much of a sentence is answered it is taken as found; below it, as something that is not there. */
const FOUND_FROM = 0.75;

/** What changes the map elsewhere; it is taken only where nothing that is here answers as well. */
const ELSEWHERE = ["Edit", "New"];

interface Searches {
  /** Of the map; missing while it is not there. */
  onMap?: Search;
  /** Of what can be done on the page. */
  onPage?: Search;
}

/** What is on the map, what can be done here under those words, and always the way to keep the question. */
export function offersOf({ onMap, onPage }: Searches, typed: string, place?: Schemas["Situation"]): Offer[] {
  const words = typed.trim();
  if (words === "") return [];
  const told = tellingWords(words).length;
  const actions = onPage?.find(words, MOST_ACTIONS).filter((hit) => hit.answers === told) ?? [];
  const here: Keep[] = place ? [{ words, about: place }] : [];
  const hits = onMap?.find(words, MOST_HITS) ?? [];
  const isElsewhere = ({ entry }: Hit) => ELSEWHERE.includes(entry.kind);
  return [
    ...hits.filter((hit) => !isElsewhere(hit)),
    ...actions,
    ...hits.filter(isElsewhere),
    ...here,
    { words },
  ];
}

/** Those offers that whoever types may take. */
export function allowed(
  offers: Offer[],
  { mayKeep, mayEdit }: { mayKeep: boolean; mayEdit: boolean },
): Offer[] {
  return offers.filter((offer) =>
    isKeep(offer) ? mayKeep : mayEdit || !ELSEWHERE.includes(offer.entry.kind),
  );
}

/** The line that Enter takes: what answers every word, else a place that answers most of them, else keeping the question. */
export function preferred(offers: Offer[]): number {
  const typed = offers.find(isKeep)?.words ?? "";
  const told = tellingWords(typed).length;
  const isWhole = (offer: Offer) => !isKeep(offer) && offer.answers === told;
  const whole = offers.findIndex(isWhole);
  if (whole >= 0) return whole;
  const [first] = offers;
  if (first && !isKeep(first) && first.answers / told >= FOUND_FROM) return 0;
  return offers.findIndex(isKeep);
}
