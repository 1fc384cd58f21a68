/** Every word that stands for a code of the map, in one table. */

export const STAGES = ["early", "joined", "settled", "last-chance"] as const;
export type Stage = (typeof STAGES)[number];

export const STAGE_LABEL: Record<Stage, string> = {
  early: "Early",
  joined: "Joined",
  settled: "Settled",
  "last-chance": "Last chance",
};

/** How late a situation is, in words; a resting place has no lateness. */
export function lateness(situation: { stage?: Stage | null }): string {
  return situation.stage ? STAGE_LABEL[situation.stage] : "A place to rest in";
}

/** Where the top player is, seen from the bottom player. */
export const BEARING_LABEL: Record<string, string> = {
  "in-front": "in front of you",
  across: "across your trunk",
  beside: "beside you, hip to hip",
  astride: "astride",
  above: "over your head",
  behind: "behind you",
  standing: "standing, both of you",
};

export const WORDS = ["rarely", "sometimes", "often", "usually"] as const;

export const SEGMENTS = ["head", "near-arm", "far-arm", "trunk", "hips", "near-leg", "far-leg"] as const;
export type Segment = (typeof SEGMENTS)[number];

export const SEGMENT_LABEL: Record<Segment, string> = {
  head: "head",
  "near-arm": "near arm",
  "far-arm": "far arm",
  trunk: "trunk",
  hips: "hips",
  "near-leg": "near leg",
  "far-leg": "far leg",
};

export const KIND_LABEL: Record<string, string> = {
  reversal: "reversal",
  counter: "counter-attack",
  standing: "standing",
  guard: "guard",
  half: "half guard",
  neutral: "level race",
  turtle: "turtle",
  tap: "tap",
};

/** A chance or worth in [0,1] as it is always shown: 0 to 100. */
export function hundred(worth: number): number {
  return Math.round(worth * 100);
}

/** A difference of worths in [0,1], of 100 starts and to a tenth of one, without its sign. */
export function tenths(difference: number): string {
  return (Math.abs(difference) * 100).toFixed(1);
}

/** What a partner's read in [0,1] means. */
export function readInWords(read: number): string {
  if (read <= 0) return "answers by habit";
  if (read < 0.35) return "reads you at times";
  if (read < 0.7) return "reads you often";
  if (read < 1) return "reads you mostly";
  return "finds the worst";
}

export function seconds(value: number): string {
  return `${value.toFixed(1)} s`;
}

/** What a finding is called. */
export const FINDING_LABEL: Record<string, string> = {
  "dead-end": "Dead end",
  "unanswered-response": "No answer",
  "no-response": "Nobody said what they do",
  "endless-loop": "Round and round",
  "single-route": "One way out",
  unreachable: "Nothing leads here",
  "no-early-answer": "No early answer",
  "held-limb": "The limb is held",
  "mixed-message": "Mixed message",
  overload: "One too many",
  "missing-caution": "No caution",
  "forbidden-finish": "Not for children",
  "no-trigger": "Answers what?",
  "vague-cue": "Not to be seen or felt",
  "free-retry": "Failing is free",
  "no-feeds": "Nothing begins here",
  "no-turn": "Whose turn?",
};

/** How a part of the map refers to another one. */
export const USE_LABEL: Record<string, string> = {
  leads: "a response of theirs leads there",
  stuffed: "a stuffed attempt lands there",
  from: "it is taught from there, and goes with it",
  technique: "it teaches this, and goes with it",
  clock: "its clock runs down to there",
  family: "it is one of this family, and goes with it",
  facts: "it says whether this is so",
  needs: "it needs this",
  movements: "it moves so",
  stance: "it takes a stance on this",
  at: "it holds there",
  feeds: "it is begun from there",
  then: "the other one is there then",
  places: "a round ends there for this aim",
  denied: "it is denied by this",
};

/** What one part of a list of the map is called where a change of it is told. */
export const LIST_LABEL: Record<string, string> = {
  map: "the map",
  holds: "hold",
  families: "family",
  facts: "fact",
  principles: "principle",
  movements: "movement",
  techniques: "technique",
  situations: "situation",
  outcomes: "outcome",
  reactions: "reaction",
  aims: "aim",
  matchups: "matchup",
  rules: "adjustment",
};

/** What a field is called where a change of it is told. */
export const FIELD_LABEL: Record<string, string> = {
  title: "name",
  seconds: "seconds it takes",
  leads: "leads to",
  often: "how often",
  works: "how often it gets going",
  stuffed: "when stuffed",
  becomes: "then",
  cue: "what they do",
  entry: "rounds start here",
  fix: "mend",
  sign: "if you feel",
  when: "when they",
  doNot: "a mistake, because",
  alsoCalled: "also called",
  yours: "what your limbs do",
  where: "where they are",
  feeds: "what begins from it",
  then: "the other one is in",
  oneAnswer: "why there is one answer",
  gives: "what to give",
  care: "what to take care of",
  weight: "where the weight goes",
  bothSides: "left and right",
  repetitions: "a round alone",
  measured: "follows from the pair",
  likely: "how likely they get it",
  seenFrom: "how likely, seen from",
  openings: "their faults, your openings",
  leaves: "what it leaves you",
  arms: "your arms",
};

/** For whom something is. */
export const LEVEL_LABEL: Record<string, string> = {
  novice: "from the first months",
  intermediate: "after some years",
  advanced: "for the experienced",
};

/** What can hurt, in a sentence. */
export const INJURY_LABEL: Record<string, string> = {
  knee: "knee",
  neck: "neck",
  shoulder: "shoulder",
  rib: "ribs",
  elbow: "elbow",
  wrist: "wrist",
  ankle: "ankle",
  "lower-back": "lower back",
};

/** The parts of a class. */
export const SECTION_LABEL: Record<
  "warm-up" | "recall" | "new" | "chain" | "called" | "live" | "talk",
  string
> = {
  "warm-up": "Warm-up",
  recall: "Recall",
  new: "New",
  chain: "Chain",
  called: "Called",
  live: "Live",
  talk: "Talk",
};

/** What a part of a class is called; a live one that is dialled or a gate says so. */
export function sectionLabel(section: keyof typeof SECTION_LABEL, drill?: string | null): string {
  return drill === "dial" ? "Dial" : drill === "gate" ? "Gate" : SECTION_LABEL[section];
}
