import i18next from "eslint-plugin-i18next";
import hooks from "eslint-plugin-react-hooks";
import ts from "typescript-eslint";

const length = (level, max) => [level, { max, skipBlankLines: true, skipComments: true }];

const letters = "/[A-Za-z]{2}/";
const readAttributes = "/^(label|title|placeholder|alt|words|hint|caption|aria-label)$/";
const inWordsFile = "What people read belongs into the words file of the room.";

/** Texts that stand where people read them, be they only one word. */
const literalTexts = [
  `JSXText[value=${letters}]`,
  `:matches(JSXElement, JSXFragment) > JSXExpressionContainer > Literal[value=${letters}]`,
  `:matches(JSXElement, JSXFragment) > JSXExpressionContainer > :matches(ConditionalExpression, LogicalExpression) > Literal[value=${letters}]`,
  `:matches(JSXElement, JSXFragment) > JSXExpressionContainer > TemplateLiteral > TemplateElement[value.raw=${letters}]`,
  `JSXAttribute[name.name=${readAttributes}] > Literal[value=${letters}]`,
  `JSXAttribute[name.name=${readAttributes}] > JSXExpressionContainer > ConditionalExpression > Literal[value=${letters}]`,
  `JSXAttribute[name.name=${readAttributes}] > JSXExpressionContainer > TemplateLiteral > TemplateElement[value.raw=${letters}]`,
  `Property[key.name=${readAttributes}] > Literal[value=${letters}]`,
  `Property[key.name=${readAttributes}] > ConditionalExpression > Literal[value=${letters}]`,
  `Property[key.name=${readAttributes}] > TemplateLiteral > TemplateElement[value.raw=${letters}]`,
].map((selector) => ({ selector, message: inWordsFile }));

/** What looks like words and is none: keys, colours, drawn paths, addresses, style sheets, markup. */
/** A word after what is put in: "3 layers". In itself it may be anything, so the other rule passes it. */
const countedTexts = {
  selector: "TemplateLiteral > TemplateElement[value.raw=/^ [a-z]{2,}/]",
  message: inWordsFile,
};

const notWords = [
  /^[^A-Za-z]*$/,
  /^[A-Za-z]$/,
  /^[a-z-][A-Za-z0-9]*([-_.:/,@][A-Za-z0-9*]*)*$/,
  /^[A-Z_-]+$/,
  /^(Arrow(Up|Down|Left|Right)?|Enter|Escape|Tab|Home|End|Page(Up|Down)|Backspace|Delete|Shift)$/,
  /^(Control|Alt|Meta|Space|AltGraph|CapsLock|ContextMenu|Spacebar|F\d+)$/,
  /^.*(\$mod|\[Shift\]|(Shift|Alt|Control)\+).*$/,
  /^#[0-9a-fA-F]{3,8}$/,
  /^\d+px$/,
  /^.*px\)$/,
  /^[MLZCQ][\d\s,.-]?.*$/,
  /^[</.[(?:&].*$/,
  /^.*(url|var|calc|hsl|rgb|rgba|inset|scale|rotate|translate|matrix|repeat|prefers-[a-z-]+)\(?.*\(?.*$/,
  /^(application|image|text|data|font)\/.*$/,
  /^[A-Z][a-z]+(-[A-Z][a-z]+)+$/,
  /^step (next|previous|opposite|first)$/,
];

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
      "max-lines-per-function": length("error", 75),
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
      "max-lines-per-function": length("error", 125),
    },
  },
  {
    // whoever edits from a project that is shown may undo what came between
    files: ["app/**/*.{ts,tsx}"],
    ignores: ["app/session/*.ts", "app/bench/state/workpiece.ts", "**/*.test.ts", "**/words.ts"],
    rules: {
      "no-restricted-syntax": [
        "error",
        {
          selector: "CallExpression[callee.object.name='session'][callee.property.name='edit']",
          message: "Make changes by a command (`run`, `make`): it is given the present project.",
        },
        ...literalTexts,
        countedTexts,
      ],
    },
  },
  {
    files: ["core/**/*.ts", "app/session/*.ts"],
    ignores: ["**/*.test.ts", "**/words.ts", "core/formats/{motion,scxml,tokens}/**"],
    rules: { "no-restricted-syntax": ["error", countedTexts] },
  },
  {
    // what people read stands in one words file per room
    files: ["app/**/*.{ts,tsx}", "core/**/*.ts"],
    ignores: [
      "**/*.test.ts",
      "**/words.ts",
      // these write files and headers, not words
      "app/entry.*.tsx",
      "app/routes.ts",
      "app/http/{main,app,live,headers,requests,serving,shown,vital,workers}.ts",
      "app/services/raster.ts",
      "app/ui/{typing,keys,Icon}.{ts,tsx}",
      "core/{paint,colour}/**",
      "core/formats/{scxml,motion,tokens}/**",
      "core/vocabulary/**/scxml.ts",
      "core/motion/curves/linear.ts",
      "core/properties/{gradient,registry}.ts",
      "core/project/ids.ts",
    ],
    plugins: { i18next },
    rules: {
      "i18next/no-literal-string": [
        "error",
        {
          mode: "all",
          "should-validate-template": true,
          message: inWordsFile,
          words: { exclude: notWords },
          "jsx-attributes": {
            exclude: [
              "className",
              "style",
              "type",
              "key",
              "id",
              "d",
              "viewBox",
              "transform",
              "variant",
              "value",
              "accept",
              "data-.*",
            ],
          },
          callees: {
            exclude: [
              "Error",
              "TypeError",
              "RangeError",
              "RegExp",
              "present",
              "matchMedia",
              "countRender",
              "querySelector(All)?",
              "closest",
              "matches",
              "addEventListener",
              "removeEventListener",
              "import",
            ],
          },
          "object-properties": {
            exclude: ["className", "transform", "value", "axis", "Cache-Control"],
          },
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
