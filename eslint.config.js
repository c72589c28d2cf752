import hooks from "eslint-plugin-react-hooks";
import ts from "typescript-eslint";

const length = (level, max) => [level, { max, skipBlankLines: true, skipComments: true }];

export default ts.config(
  { ignores: ["node_modules", "build", ".react-router", ".cache", ".data", "generated"] },
  ...ts.configs.strict,
  ...ts.configs.recommendedTypeChecked,
  {
    languageOptions: {
      parserOptions: {
        projectService: true,
        tsconfigRootDir: import.meta.dirname,
      },
    },
    linterOptions: { reportUnusedDisableDirectives: "error" },
    rules: {
      "@typescript-eslint/consistent-type-imports": "error",
      // stays a warning until values of layers have the types of their properties
      "@typescript-eslint/no-dynamic-delete": "off",
      "@typescript-eslint/no-invalid-void-type": "off",
      "@typescript-eslint/no-unused-vars": [
        "error",
        { argsIgnorePattern: "^_", varsIgnorePattern: "^_" },
      ],
      // routes answer by throwing what React Router makes of an answer
      "@typescript-eslint/only-throw-error": [
        "error",
        { allow: [{ from: "package", package: "react-router", name: "DataWithResponseInit" }] },
      ],
      "@typescript-eslint/switch-exhaustiveness-check": [
        "error",
        { considerDefaultExhaustiveForUnions: false },
      ],
      "@typescript-eslint/unified-signatures": "off",
      complexity: ["error", 20],
      eqeqeq: ["error", "always", { null: "ignore" }],
      "max-lines-per-function": length("error", 60),
      "no-nested-ternary": "error",
      "one-var": ["error", "never"],
    },
  },
  // these are in no project of TypeScript's
  { files: ["**/*.{js,cjs,mjs}"], ...ts.configs.disableTypeChecked },
  {
    files: ["app/**/*.{ts,tsx}"],
    ...hooks.configs.flat["recommended-latest"],
  },
  {
    // a part is markup and wiring: its lines are longer in the file than in the head
    files: ["app/**/*.tsx"],
    rules: {
      "max-lines-per-function": length("error", 80),
    },
  },
  {
    // whoever edits from a project that is shown may undo what came between
    files: ["app/**/*.{ts,tsx}"],
    ignores: ["app/session/*.ts", "app/bench/state/workpiece.ts", "**/*.test.ts"],
    rules: {
      "no-restricted-syntax": [
        "error",
        {
          selector: "CallExpression[callee.object.name='session'][callee.property.name='edit']",
          message: "Make changes by a command (`run`, `make`): it is given the present project.",
        },
      ],
    },
  },
  {
    // a describe block is a list of tests, not a function that does one thing
    files: ["**/*.test.ts", "tests/**/*.ts"],
    rules: { "max-lines-per-function": "off" },
  },
  {
    files: ["core/**/*.ts"],
    ignores: ["**/*.test.ts"],
    rules: {
      "no-console": "error",
      "no-restricted-globals": [
        "error",
        "window",
        "document",
        "navigator",
        "process",
        "localStorage",
        "performance",
        "setTimeout",
        "setInterval",
        "fetch",
        "Buffer",
      ],
    },
  },
);
