import type { Schemas } from "../../api/client";

/** What a partner's brief says, each line with its name; what it does not say is left out. */
export function feederLines({ weight, care, gives }: Schemas["Feeder"]): [name: string, words: string][] {
  const lines: [string, string][] = [
    ["Weight", weight],
    ["Take care", care],
    ["Give", gives],
  ];
  return lines.filter(([, words]) => words !== "");
}
