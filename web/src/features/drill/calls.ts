/** Calls in groups that can be read in one breath. */
export function callsInLines(calls: number[], length: number): number[][] {
  const lines: number[][] = [];
  for (let at = 0; at < calls.length; at += length) lines.push(calls.slice(at, at + length));
  return lines;
}
