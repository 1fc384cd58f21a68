import type { Schemas } from "../../api/client";
import { lowerFirst } from "../map";
import type { DrillKind } from "./design";

/** The kinds as they are offered, with what each is in a few words. */
export const KINDS: { kind: DrillKind; title: string; says: string }[] = [
  { kind: "round-pattern", title: "Round pattern", says: "some out, then on top, swap" },
  { kind: "called", title: "Called", says: "the feeder picks, you read" },
  { kind: "chain", title: "Chain", says: "one runs into the next" },
  { kind: "fixed", title: "Fixed", says: "the same again" },
  { kind: "step-limited", title: "Step-limited", says: "with something taken away" },
  { kind: "until-out", title: "Until out", says: "a failure goes on" },
  { kind: "staged", title: "Staged start", says: "early, then later and later" },
  { kind: "dial", title: "Dial", says: "notch by notch" },
  { kind: "discovery", title: "Discovery", says: "look for a way, then talk" },
  { kind: "live", title: "Live", says: "in earnest, from the place" },
  { kind: "gate", title: "Gate", says: "each place shown once" },
  { kind: "solo", title: "Solo", says: "the movements alone" },
];

export function kindTitle(kind: string): string {
  return KINDS.find((k) => k.kind === kind)?.title ?? kind;
}

/** True for the kinds that begin in a place and leave the rest to the pair. */
export function needsPlace(kind: DrillKind): boolean {
  return ["until-out", "staged", "dial", "discovery", "live"].includes(kind);
}

/** How the feeder gives a call, or begins and takes back one that is no link. */
export function givenAs(part: Schemas["PlannedLink"]["part"] | undefined, kind: DrillKind): string {
  if (part === "opening") return "always, in this order";
  if (part === "finish" || kind === "called") return "show, say nothing";
  return kind === "until-out" ? "as the list says, do" : "shout";
}

/** What the pair does after it has landed: a loss is never the end of a line. */
export function nextInWords(next: Schemas["NextStep"]): string {
  const place = lowerFirst(next.place ?? "");
  const answer = next.answer ? `: ${lowerFirst(next.answer)}` : "";
  switch (next.kind) {
    case "go-on":
      return `go on${answer}`;
    case "feed":
      return `feed: ${place}`;
    case "swap":
      return `swap: now they are in ${place}`;
    case "let-go":
      return "let go at once, begin again with less weight";
    case "reset":
      return "back to the start";
  }
}

/** Why something is worth drilling. */
export function focusInWords(focus: Schemas["Proposal"]["focus"]): string {
  switch (focus) {
    case "everyday":
      return "Every day";
    case "narrow-gate":
      return "Most hangs on it";
    case "answered-lately":
      return "Answered lately";
    case "look-alike":
      return "Look-alikes";
    case "place":
      return "A place";
  }
}

/** Links are numbers, mistakes letters. */
export function spottingCall(call: number, links: number): string {
  return call < links ? String(call + 1) : String.fromCharCode(65 + call - links);
}
