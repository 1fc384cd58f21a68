import js from "@eslint/js";
import prettier from "eslint-config-prettier";
import hooks from "eslint-plugin-react-hooks";
import ts from "typescript-eslint";

export default ts.config(
  { ignores: ["dist", "src/api/schema.d.ts"] },
  js.configs.recommended,
  ...ts.configs.recommendedTypeChecked,
  hooks.configs.flat["recommended-latest"],
  { languageOptions: { parserOptions: { project: "./tsconfig.json", tsconfigRootDir: import.meta.dirname } } },
  {
    rules: {
      "@typescript-eslint/no-misused-promises": ["error", { checksVoidReturn: { attributes: false } }],
      "no-restricted-imports": ["error", { patterns: ["../../features/*/*"] }],
    },
  },
  prettier,
);
