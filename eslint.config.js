import hooks from "eslint-plugin-react-hooks";
import ts from "typescript-eslint";

export default ts.config(
  { ignores: ["node_modules", "build", ".react-router", ".cache", ".data", "generated"] },
  ...ts.configs.strict,
  { files: ["app/**/*.{ts,tsx}"], ...hooks.configs.flat["recommended-latest"] },
  {
    rules: {
      "@typescript-eslint/no-unused-vars": [
        "error",
        { argsIgnorePattern: "^_", varsIgnorePattern: "^_" },
      ],
      "@typescript-eslint/no-dynamic-delete": "off",
      "@typescript-eslint/no-invalid-void-type": "off",
      "@typescript-eslint/unified-signatures": "off",
      "no-restricted-globals": "off",
      "max-lines": ["error", { max: 330, skipBlankLines: true, skipComments: true }],
      eqeqeq: ["error", "always", { null: "ignore" }],
      "no-console": "off",
    },
  },
  {
    files: ["core/**/*.ts"],
    ignores: ["**/*.test.ts"],
    rules: {
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
      "no-console": "error",
    },
  },
);
