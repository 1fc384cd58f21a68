import type { Plan } from "./design";

export type Step = Plan["stretches"][number]["steps"][number];

/** What happens while the same partner stays on the bottom. */
export interface Turn {
  side: "left" | "right";
  bottom: "first" | "second";
  steps: Step[];
}

/** The turns of a plan in order; another side begins a new one. */
export function turnsOf(plan: Plan): Turn[] {
  const turns: Turn[] = [];
  for (const stretch of plan.stretches) {
    let turn: Turn | undefined;
    for (const step of stretch.steps) {
      if (turn?.bottom !== step.bottom) {
        turn = { side: stretch.side, bottom: step.bottom, steps: [] };
        turns.push(turn);
      }
      turn.steps.push(step);
    }
  }
  return turns;
}

export function secondsOf(steps: Step[]): number {
  return steps.reduce((sum, step) => sum + step.seconds, 0);
}

export interface Call {
  word: string;
  finish: boolean;
  fake: boolean;
}

/** The calls of a turn in order: what the feeder shouts or begins and takes back. */
export function callsOf(turn: Turn, plan: Plan): Call[] {
  return turn.steps.flatMap((step): Call[] => {
    const word = wordOf(step, plan);
    if (word === undefined) return [];
    return [{ word, finish: isShown(step, plan), fake: step.kind === "fake" }];
  });
}

/** What the feeder shouts for a step, or begins and takes back; nothing for what is no call. */
export function wordOf(step: Step, plan: Plan): string | undefined {
  if (step.kind === "fake") return plan.fakes[step.fake ?? 0] ?? "Fake";
  return linkOf(step, plan)?.word;
}

export function linkOf(step: Step, plan: Plan): Plan["links"][number] | undefined {
  return step.link === undefined || step.link === null ? undefined : plan.links[step.link];
}

/** True for a finish: the stance shows it, nothing is said. */
export function isShown(step: Step, plan: Plan): boolean {
  return linkOf(step, plan)?.part === "finish";
}

/** "11 min", "45 s", "1 min 20 s". */
export function duration(seconds: number): string {
  const whole = Math.round(seconds);
  const minutes = Math.floor(whole / 60);
  const rest = whole % 60;
  if (minutes === 0) return `${rest} s`;
  return rest === 0 ? `${minutes} min` : `${minutes} min ${rest} s`;
}

/** "1 in 3", for a rate that is as good as one of a few. */
export function oneIn(rate: number): string {
  return `${Math.round(rate * 100)} of 100`;
}
