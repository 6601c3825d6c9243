import js from "@eslint/js";
import globals from "globals";
import svelte from "eslint-plugin-svelte";
import ts from "typescript-eslint";

// One way through: screens are made of parts, parts ask the API; what formats and the texts are free to all. What is
// generated is left alone.
const ONE_WAY = "imports point one way: screens, parts, api; format and texts are free to all";
const COMPONENT = "/[A-Z]\\w*\\.svelte$";
const ASK = "ask through src/api";
const notFrom = (...regexes) => ({
  "no-restricted-imports": [
    "error",
    { patterns: regexes.map((regex) => ({ regex, caseSensitive: true, message: ONE_WAY })) },
  ],
});
// The same of what is imported when it is needed, and no way round the client.
const unlessAsked = [
  { selector: "CallExpression[callee.property.name=/^(GET|POST|PUT|PATCH|DELETE)$/]", message: ASK },
  { selector: "MemberExpression[object.name=/^(window|globalThis|self)$/][property.name='fetch']", message: ASK },
  { selector: "MemberExpression[object.name=/^(window|globalThis|self)$/][computed=true]", message: ASK },
  { selector: "MemberExpression[property.name='sendBeacon']", message: ASK },
  { selector: "ImportExpression:not([source.type='Literal'])", message: ONE_WAY },
];
const syntax = (...more) => ({ "no-restricted-syntax": ["error", ...unlessAsked, ...more] });
const notLater = (...regexes) =>
  syntax(
    ...regexes.map((regex) => ({
      selector: `ImportExpression[source.value=/${regex.replaceAll("/", "\\/")}/]`,
      message: ONE_WAY,
    })),
  );
// A text puts words round figures; what the figures are is the server's affair.
const noSums = {
  selector: "BinaryExpression[operator=/^([*%<>]|\\*\\*|\\/|<=|>=|-)$/]",
  message: "a text calculates and judges nothing",
};

export default ts.config(
  { ignores: ["dist/", "node_modules/", "src/api/schema.d.ts"] },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...svelte.configs.recommended,
  ...svelte.configs.prettier,
  {
    languageOptions: { globals: globals.browser },
    rules: {
      "no-undef": "off",
      "@typescript-eslint/no-unused-vars": ["error", { argsIgnorePattern: "^_", varsIgnorePattern: "^_" }],
      "@typescript-eslint/no-unused-expressions": "off",
      "no-restricted-globals": [
        "error",
        ...["fetch", "XMLHttpRequest", "EventSource", "WebSocket"].map((name) => ({ name, message: ASK })),
      ],
      ...syntax(),
      "no-console": "error",
      eqeqeq: ["error", "always", { null: "ignore" }],
      // a space that must not be lost is written out; a Map that is only read needs no reactivity
      "svelte/no-useless-mustaches": "off",
      "svelte/prefer-svelte-reactivity": "off",
      "svelte/no-at-html-tags": "error",
      // addresses are of this app alone
      "svelte/no-navigation-without-resolve": "off",
      "svelte/require-each-key": "error",
    },
  },
  { files: ["src/api/**", "tests/**"], rules: { "no-restricted-syntax": "off" } },
  { files: ["src/api/client.ts"], rules: { "no-restricted-globals": "off" } },
  { files: ["**/*.svelte", "**/*.svelte.ts"], languageOptions: { parserOptions: { parser: ts.parser } } },
  {
    files: ["src/parts/**"],
    rules: { ...notFrom("/screens/", "/routes$"), ...notLater("/screens/", "/routes$") },
  },
  { files: ["src/api/**", "src/format/**"], rules: notFrom("/screens/", "/parts/", "/routes$", COMPONENT) },
  { files: ["src/format/**"], rules: notLater("/screens/", "/parts/", "/routes$") },
  {
    files: ["src/texts/**"],
    rules: {
      ...notFrom("/screens/", "/parts/", "/api/", "/format/", "/routes$"),
      ...syntax(noSums, { selector: "ImportExpression", message: ONE_WAY }),
    },
  },
  {
    files: ["src/screens/**"],
    rules: {
      ...notFrom("/screens/", "^\\.\\./(?!\\.\\.)", "/routes$"),
      ...notLater("/screens/", "^\\.\\./(?!\\.\\.)", "/routes$"),
    },
  },
  {
    files: ["src/**/*.svelte"],
    rules: {
      "svelte/no-restricted-html-elements": [
        "error",
        { elements: ["button", "input", "select", "textarea"], message: "use parts/controls" },
      ],
      "max-lines": ["error", 250],
    },
  },
  {
    files: [
      "src/parts/controls/*.svelte",
      // a file is chosen, not typed
      "src/screens/import/Import.svelte",
      // a slider, which moves what is drawn beside it
      "src/screens/timeline/LookAhead.svelte",
      // a reading: its figure, its second figure and its keys are one control
      "src/screens/inspection/ReadingInput.svelte",
      // a tile: the button is a picture, a row or a figure of that place alone
      "src/App.svelte",
      "src/parts/{KeyHelp,MarkChips,PhotoStrip,SignIn,TermText,UndoBar}.svelte",
      "src/screens/atTheCar/{BoltList,CarBar,CarTop,Counter,StepList}.svelte",
      "src/screens/brakeData/DataCell.svelte",
      "src/screens/inspection/WheelStrip.svelte",
      "src/screens/job/JobSteps.svelte",
      "src/screens/loggedInspection/ReadingEntry.svelte",
      "src/screens/newVehicle/FirstThings.svelte",
      "src/screens/practice/DrillAnswer.svelte",
    ],
    rules: { "svelte/no-restricted-html-elements": "off" },
  },
  // state knows nothing of the components that show it
  { files: ["src/parts/**/*.ts"], rules: notFrom("/screens/", "/routes$", COMPONENT) },
  { files: ["src/screens/**/*.ts"], rules: notFrom("/screens/", "^\\.\\./(?!\\.\\.)", "/routes$", COMPONENT) },
);
