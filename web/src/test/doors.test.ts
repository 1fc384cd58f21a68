import { ESLint } from "eslint";
import ts from "typescript-eslint";
import { expect, it } from "vitest";

// Without types: the line asked about is not what the file on disk says, and a parser that reads types takes the
// file's own words where it believes it runs but once, as it does where CI=true.
const lint = new ESLint({ overrideConfig: ts.configs.disableTypeChecked });

async function refusals(file: string, line: string): Promise<string[]> {
  const [result] = await lint.lintText(`import * as x from "${line}";\nexport default x;\n`, {
    filePath: file,
  });
  return result!.messages.filter((m) => m.ruleId === "no-restricted-imports").map((m) => m.message);
}

it.each([
  ["src/features/review/Cost.tsx", "../map/holes"],
  ["src/features/review/Cost.tsx", "../../features/map/holes"],
  ["src/features/review/Cost.tsx", "../../app/Frame"],
  ["src/app/Frame.tsx", "../features/map/holes"],
  ["src/ui/Gate.tsx", "../features/map"],
])(
  "%s may not import %s",
  async (file, line) => {
    expect(await refusals(file, line)).toHaveLength(1);
  },
  60_000,
);

it.each([
  ["src/features/review/Cost.tsx", "../map"],
  ["src/features/review/Cost.tsx", "./ReviewPage"],
  ["src/features/review/Cost.tsx", "../../ui/Gate"],
  ["src/app/Frame.tsx", "../features/map"],
])(
  "%s may import %s",
  async (file, line) => {
    expect(await refusals(file, line)).toEqual([]);
  },
  60_000,
);
