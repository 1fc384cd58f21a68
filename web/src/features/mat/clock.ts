import type { Schemas } from "../../api/client";

export type Mat = Schemas["Mat"];
export type Part = Schemas["MatPart"];
export type Step = Schemas["MatStep"];
export type Press = Schemas["MatPress"];

/** A step that is begun again within so long goes back to the one before. */
const JUST = 5_000;
const LEAST_LEFT = 10_000;

const WAITING = new Set<Step["kind"]>(["show", "talk", "break"]);

/** True for what ends when whoever teaches says so. */
export function waits(step: Step): boolean {
  return WAITING.has(step.kind);
}

export function stepsOf(mat: Mat): Step[] {
  return mat.parts.flatMap((part) => part.steps);
}

function placeOf(steps: Step[], number: number): number {
  return Math.max(
    0,
    steps.findIndex((one) => one.number === number),
  );
}

/**
 * A class some milliseconds after it was told how it stands. Steps follow each other by the clock but for those that wait;
 * the server reckons in the same way, so that nothing is sent while nobody steers.
 */
export function later(mat: Mat, milliseconds: number): Mat {
  if (mat.state !== "running" || milliseconds <= 0) return mat;
  const steps = stepsOf(mat);
  let place = placeOf(steps, mat.step);
  let { left, ran } = mat;
  let passed = milliseconds;
  while (place < steps.length - 1 && !waits(steps[place]!) && left <= passed) {
    passed -= left;
    place += 1;
    left = steps[place]!.seconds * 1000;
    ran = 0;
  }
  return { ...mat, step: steps[place]!.number, left: left - passed, ran: ran + passed };
}

/** Where a class is. */
export interface Here {
  part: Part;
  step: Step;
  /** The next step and its part; missing in the last one. */
  next?: { part: Part; step: Step };
  /** The number of the round in its part, from 1, and how many there are. */
  round: number;
  rounds: number;
}

export function hereIn(mat: Mat): Here {
  const parts = mat.parts;
  const at = Math.max(
    0,
    parts.findIndex((part) => part.steps.some((step) => step.number === mat.step)),
  );
  const part = parts[at]!;
  const place = placeOf(part.steps, mat.step);
  const step = part.steps[place]!;
  const rounds = part.steps.filter((one) => one.kind === "round");
  const before = part.steps.slice(0, place + 1).filter((one) => one.kind === "round").length;
  const after = part.steps[place + 1];
  const following = parts[at + 1];
  return {
    part,
    step,
    next: after ? { part, step: after } : following && { part: following, step: following.steps[0]! },
    round: Math.max(1, step.kind === "change" ? before + 1 : before),
    rounds: rounds.length,
  };
}

/** What is called now: its number in the round from 1, and which of the part's answers it wants. */
export function calledIn(step: Step, ran: number): { number: number; answer: number } | undefined {
  let found: { number: number; answer: number } | undefined;
  step.calls.forEach((call, i) => {
    if (call.at * 1000 <= ran) found = { number: i + 1, answer: call.answer };
  });
  return found;
}

/** The notch of a dial after so long; the last one lasts on. Nothing where nothing is dialled. */
export function notchAt(step: Step, ran: number): number | undefined {
  if (step.notches === 0) return undefined;
  return Math.min(step.notches, 1 + Math.floor((ran * step.notches) / (step.seconds * 1000)));
}

/** Milliseconds until the last step would be over if nobody lingered. */
export function remaining(mat: Mat): number {
  const steps = stepsOf(mat);
  const rest = steps.slice(placeOf(steps, mat.step) + 1).reduce((sum, step) => sum + step.seconds * 1000, 0);
  return Math.max(0, mat.left) + rest;
}

/** Milliseconds by which a class that goes on as planned ends too late; below zero too early. */
export function behind(mat: Mat, now: number): number | undefined {
  if (!mat.begun) return undefined;
  return now + remaining(mat) - (Date.parse(mat.begun) + mat.minutes * 60_000);
}

function to(mat: Mat, step: Step, left = step.seconds * 1000): Mat {
  return { ...mat, state: "running", step: step.number, left, ran: 0, look: undefined };
}

/**
 * What a press does, as far as the clock goes: shown at once, until the server has said what came of it. The rest it alone
 * knows, and the class stays as it is until then.
 */
export function pressed(mat: Mat, press: Press): Mat {
  const steps = stepsOf(mat);
  const place = placeOf(steps, mat.step);
  const going = mat.state === "running" || mat.state === "stopped";
  const meant = going && press.step === mat.step;
  switch (press.deed) {
    case "start":
      return mat.state === "ready" ? { ...mat, state: "running" } : mat;
    case "forward":
      if (mat.state === "ready") return { ...mat, state: "running" };
      if (!meant) return mat;
      return place === steps.length - 1
        ? { ...mat, state: "over", look: undefined }
        : to(mat, steps[place + 1]!);
    case "back":
      if (!meant) return mat;
      return to(mat, mat.ran > JUST ? steps[place]! : steps[Math.max(0, place - 1)]!);
    case "skip": {
      if (!meant) return mat;
      const at = mat.parts.findIndex((part) => part.steps.some((step) => step.number === mat.step));
      const next = mat.parts[at + 1];
      return next ? to(mat, next.steps[0]!) : { ...mat, state: "over", look: undefined };
    }
    case "stop":
      return mat.state === "running" ? { ...mat, state: "stopped" } : mat;
    case "go":
      return mat.state === "stopped" || mat.state === "over"
        ? { ...mat, state: "running", look: undefined }
        : mat;
    case "toggle":
      return pressed(mat, {
        ...press,
        deed: mat.state === "running" ? "stop" : mat.state === "stopped" ? "go" : "start",
      });
    case "longer": {
      const seconds = (press.seconds ?? 0) * 1000;
      if (!meant) return mat;
      const left = mat.left + seconds;
      return { ...mat, left: seconds < 0 ? Math.max(left, Math.min(mat.left, LEAST_LEFT)) : left };
    }
    case "finish":
      return going ? { ...mat, state: "over", look: undefined } : mat;
    default:
      return mat;
  }
}

/** 95000 is "1:35"; below zero "+0:20" for how long it has been waiting. */
export function clockWords(milliseconds: number): string {
  const over = milliseconds < 0;
  const seconds = over ? Math.floor(-milliseconds / 1000) : Math.ceil(milliseconds / 1000);
  return `${over && seconds > 0 ? "+" : ""}${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, "0")}`;
}
