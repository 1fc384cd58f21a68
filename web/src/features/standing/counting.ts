import type { Side } from "./standing";

/** Repetitions as they are typed. */
export interface Typed {
  what: string;
  side: Side;
  role: "first" | "second";
  many: string;
  clean: string;
  fault: string;
}

/** What is wrong with what was typed, by field. */
export function problemsOf(typed: Pick<Typed, "many" | "clean">, chosen: boolean) {
  const many = Number(typed.many);
  const clean = Number(typed.clean);
  return {
    what: chosen ? undefined : "Choose what was repeated.",
    many:
      typed.many.trim() !== "" && Number.isInteger(many) && many >= 1 && many <= 10_000
        ? undefined
        : "Write how many, from 1 to 10,000.",
    clean:
      typed.clean.trim() === "" || (Number.isInteger(clean) && clean >= 0 && clean <= many)
        ? undefined
        : "At most as many as there were, or leave it empty.",
  };
}
