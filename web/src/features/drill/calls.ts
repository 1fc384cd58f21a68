import type { Schemas } from "../../api/client";
import { lowerFirst } from "../map";

/** Calls in groups that can be read in one breath. */
export function callsInLines(calls: number[], length: number): number[][] {
  const lines: number[][] = [];
  for (let at = 0; at < calls.length; at += length) lines.push(calls.slice(at, at + length));
  return lines;
}

/** What the pair does after it has landed: a loss is never the end of a line. */
export function nextInWords(next: Schemas["NextStep"]): string {
  const place = lowerFirst(next.place ?? "");
  const answer = next.answer ? `: ${lowerFirst(next.answer)}` : "";
  switch (next.kind) {
    case "go-on":
      return `go on${answer}`;
    case "feed":
      return `they begin ${place}${answer}`;
    case "swap":
      return `swap: now they are in ${place}`;
    case "let-go":
      return "let go at once, begin again with less weight";
    case "reset":
      return "back to the start";
  }
}

/** Links are numbers, mistakes letters. */
export function spottingCall(call: number, links: number): string {
  return call < links ? String(call + 1) : String.fromCharCode(65 + call - links);
}
