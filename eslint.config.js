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
    // the app's large functions are taken apart together with its rooms
    files: ["app/**/*.{ts,tsx}"],
    rules: {
      complexity: ["warn", 20],
      "max-lines-per-function": length("warn", 60),
      "@typescript-eslint/switch-exhaustiveness-check": [
        "error",
        { considerDefaultExhaustiveForUnions: true },
      ],
    },
  },
  {
    files: ["app/**/*.tsx"],
    rules: {
      "max-lines-per-function": length("warn", 80),
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
