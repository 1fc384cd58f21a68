import type { Change, Figures, Weight } from "./weight";

/** Over which side of yours. */
const WAY: Record<string, string> = {
  head: "over your head",
  "head-right": "over your right shoulder",
  right: "to your right",
  "feet-right": "over your right hip",
  feet: "over your feet",
  "feet-left": "over your left hip",
  left: "to your left",
  "head-left": "over your left shoulder",
  "head-front": "in front of your face",
  front: "in front of you",
  "feet-front": "in front of your hips",
  "feet-back": "behind your hips",
  back: "behind your back",
  "head-back": "behind your head",
};

/** A side of yours, at the edge of the rose. */
export const SIDE: Record<string, string> = {
  head: "head",
  feet: "feet",
  right: "your right",
  left: "your left",
  front: "in front",
  back: "your back",
};

export function wayInWords(way: string): string {
  return WAY[way] ?? way;
}

const CHANGE: Record<Change, string> = {
  "trap-hand-left": "trap their left hand",
  "trap-hand-right": "trap their right hand",
  "trap-foot-left": "trap their left foot",
  "trap-foot-right": "trap their right foot",
  "seat-up": "they lift the seat",
  "seat-down": "they sit down",
  "hips-higher": "they ride higher",
  "knees-off": "their knees leave the mat",
};

export function changeInWords(change: Change): string {
  return CHANGE[change];
}

const TRAPPED: Partial<Record<Change, string>> = {
  "trap-hand-left": "left hand",
  "trap-hand-right": "right hand",
  "trap-foot-left": "left foot",
  "trap-foot-right": "right foot",
};

/** Traps as a thing that is held: “their left hand and left foot”; empty for none. */
export function heldInWords(changes: readonly string[]): string {
  const parts = changes.map((change) => TRAPPED[change as Change]).filter((part) => part !== undefined);
  if (parts.length === 0) return "";
  const last = parts[parts.length - 1]!;
  return `their ${parts.length === 1 ? last : `${parts.slice(0, -1).join(", ")} and ${last}`}`;
}

/** A minus that is as wide as a figure. */
export function degrees(value: number): string {
  const whole = Math.round(value);
  return `${whole < 0 ? `−${-whole}` : whole}°`;
}

export function kilograms(value: number): string {
  return `${Math.round(value)} kg`;
}

/** Why what rests on you is not told. */
const NO_LOAD: Record<NonNullable<Figures["noLoad"]>, string> = {
  standing:
    "You are on your feet: what pulls on your neck and hips carries weight too, and pull is not reckoned.",
  sitting: "They sit on the mat with nothing of their trunk on you: what holds you is pull.",
  lying: "They lie on the mat: what of them rests on you is what they pull onto you.",
  "not-without-pull": "So they stay only by pulling or pushing, and neither is reckoned.",
};

export function noLoadInWords(why: Figures["noLoad"]): string {
  return why ? NO_LOAD[why] : "";
}

const NO_BASE: Record<NonNullable<Figures["noBase"]>, string> = {
  standing: "You are on your feet: who tips is a matter of pull and steps, and neither is reckoned.",
  sitting: "They sit on the mat and hold on: there is nothing to tip.",
  lying: "They lie on the mat: there is nothing to tip.",
  "all-on-you": "Nothing of theirs is on the mat: they go wherever you go.",
};

export function noBaseInWords(why: Figures["noBase"]): string {
  return why ? NO_BASE[why] : "";
}

/** What follows, in a sentence. */
export function verdict(weight: Weight, done: readonly Change[]): string {
  const { now, first } = weight;
  if (!now.weakest) return noBaseInWords(now.noBase);
  const where = wayInWords(now.weakest.way);
  const was = done.length > 0 && first.weakest ? `, was ${degrees(first.weakest.degrees)}` : "";
  const trapped = heldInWords(done);
  if (now.weakest.degrees < 0) {
    return `They lean on you already, ${where}: ${degrees(now.weakest.degrees)}${was}. Move away from under it and they fall there.`;
  }
  if (trapped) {
    return `Hold ${trapped}, bridge ${where}: they go at ${degrees(now.weakest.degrees)}${was}.`;
  }
  return `They tip first ${where}, once they are leant by ${degrees(now.weakest.degrees)}${was}.`;
}

/** What a trap costs meanwhile; empty where it costs nothing. */
export function priceInWords(weight: Weight, done: readonly Change[]): string {
  const before = weight.first.load?.likely;
  const after = weight.now.load?.likely;
  if (heldInWords(done) === "" || before === undefined || after === undefined || after - before < 1.5)
    return "";
  return `While you hold on, more of them rests on you: ${Math.round(before)} → ${kilograms(after)}. Bridge at once, in one motion.`;
}

/** What of one side to take away, where that has not been done yet; empty where nothing helps. */
export function adviceInWords(weight: Weight): string {
  const { best, first } = weight;
  if (!best?.then.weakest || (first.weakest?.degrees ?? 0) < 0) return "";
  const leant = best.then.weakest.degrees;
  return `Soonest: hold ${heldInWords(best.changes)}, then ${degrees(leant)} ${wayInWords(best.then.weakest.way)}.`;
}

/**
 * What the map says of the place beside what the posture shows: where both agree, and where one of them has to be mended.
 * Facts that cannot be read off a posture are only told.
 */
export function mapInWords(
  facts: Record<string, boolean>,
  said: Weight["said"],
  titleOf: (fact: string) => string | undefined,
): { agreed: string; otherwise: string; told: string } {
  const read = new Map(said.map((one) => [one.fact, one]));
  const words = (fact: string, so: boolean) => {
    const title = titleOf(fact) ?? fact;
    const lower = title.charAt(0).toLowerCase() + title.slice(1);
    return so ? lower : `not “${lower}”`;
  };
  const list = (which: [string, boolean][]) => which.map(([fact, so]) => words(fact, so)).join(", ");
  const all = Object.entries(facts);
  return {
    agreed: list(all.filter(([fact, so]) => read.get(fact)?.seen === so)),
    otherwise: list(all.filter(([fact, so]) => read.has(fact) && read.get(fact)!.seen !== so)),
    told: list(all.filter(([fact, so]) => so && !read.has(fact))),
  };
}

const JOINT: Record<string, string> = { hip: "seat", toe: "foot" };

/** What of theirs stands on the mat, in a sentence for who does not see it. */
export function postsInWords(posts: Weight["marks"]["posts"]): string {
  const names = (taken: boolean) => [
    ...new Set(
      posts
        .filter((post) => post.taken === taken)
        .map((post) => {
          const [joint = "", side] = post.joint.split("-");
          const name = JOINT[joint] ?? joint;
          return name === "seat" || !side ? name : `${side} ${name}`;
        }),
    ),
  ];
  const standing = names(false);
  const taken = names(true).filter((name) => !standing.includes(name));
  return [
    standing.length > 0 ? `On the mat: their ${standing.join(", ")}.` : "Nothing of theirs is on the mat.",
    taken.length > 0 ? `Taken away: their ${taken.join(", ")}.` : "",
  ]
    .filter(Boolean)
    .join(" ");
}
