import js from "@eslint/js";
import prettier from "eslint-config-prettier";
import a11y from "eslint-plugin-jsx-a11y-x";
import hooks from "eslint-plugin-react-hooks";
import ts from "typescript-eslint";

const NEIGHBOUR = {
  regex: "^\\.\\./(?!\\.\\.)[a-z]+/.+",
  message: "A neighbour is entered by its door: import what its index gives.",
};
const BEHIND_A_DOOR = {
  regex: "(^|/)features/[a-z]+/.+",
  message: "A feature is entered by its door: import what its index gives.",
};
const UPWARDS = { regex: "(^|/)app(/|$)", message: "The frame knows the features, not the other way round." };
const FEATURES = { regex: "(^|/)features(/|$)", message: "What all use knows no feature." };

export default ts.config(
  { ignores: ["dist", "src/api/schema.d.ts"] },
  js.configs.recommended,
  ...ts.configs.recommendedTypeChecked,
  hooks.configs.flat["recommended-latest"],
  {
    plugins: { "jsx-a11y-x": a11y },
    rules: {
      ...a11y.configs.recommended.rules,
      // What somebody has just opened takes the focus; nothing takes it by itself.
      "jsx-a11y-x/no-autofocus": "off",
      // What scrolls must be reached by keyboard.
      "jsx-a11y-x/no-noninteractive-tabindex": ["error", { tags: ["ul"], roles: ["region"] }],
      "jsx-a11y-x/label-has-associated-control": [
        "error",
        { controlComponents: ["NumberBox", "Picker"], depth: 3 },
      ],
    },
  },
  {
    languageOptions: { parserOptions: { project: "./tsconfig.json", tsconfigRootDir: import.meta.dirname } },
  },
  {
    // Words are words: nothing that somebody wrote becomes a part of the page's program.
    files: ["src/**/*.{ts,tsx}"],
    ignores: ["src/**/*.test.*"],
    rules: {
      "no-restricted-syntax": [
        "error",
        ...[
          "JSXAttribute[name.name='dangerouslySetInnerHTML']",
          "AssignmentExpression > MemberExpression[property.name=/^(inner|outer)HTML$/]",
          "CallExpression > MemberExpression[property.name='insertAdjacentHTML']",
        ].map((selector) => ({ selector, message: "Write an element, not its text." })),
      ],
    },
  },
  {
    rules: {
      "@typescript-eslint/no-misused-promises": ["error", { checksVoidReturn: { attributes: false } }],
    },
  },
  {
    // A feature is entered by its one door. Its neighbours know nothing of what lies behind it.
    files: ["src/features/**"],
    rules: { "no-restricted-imports": ["error", { patterns: [NEIGHBOUR, BEHIND_A_DOOR, UPWARDS] }] },
  },
  {
    files: ["src/app/**", "src/main.tsx"],
    rules: { "no-restricted-imports": ["error", { patterns: [BEHIND_A_DOOR] }] },
  },
  {
    files: ["src/ui/**", "src/api/**", "src/device/**", "src/queue/**", "src/*.ts"],
    rules: { "no-restricted-imports": ["error", { patterns: [UPWARDS, FEATURES] }] },
  },
  prettier,
);
