import js from "@eslint/js";
import globals from "globals";
import svelte from "eslint-plugin-svelte";
import ts from "typescript-eslint";

// One way through: screens are made of parts, parts ask the API; what formats and the texts are free to all. What is
// generated is left alone.
const notFrom = (...regexes) => ({
  "no-restricted-imports": [
    "error",
    {
      patterns: regexes.map((regex) => ({
        regex,
        message: "imports point one way: screens, parts, api; format and texts are free to all",
      })),
    },
  ],
});

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
      "no-restricted-globals": ["error", { name: "fetch", message: "ask through api/client.ts" }],
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
  { files: ["src/api/client.ts"], rules: { "no-restricted-globals": "off" } },
  { files: ["**/*.svelte", "**/*.svelte.ts"], languageOptions: { parserOptions: { parser: ts.parser } } },
  { files: ["src/parts/**"], rules: notFrom("/screens/") },
  { files: ["src/api/**", "src/format/**"], rules: notFrom("/screens/", "/parts/") },
  { files: ["src/texts/**"], rules: notFrom("/screens/", "/parts/", "/api/", "/format/") },
  { files: ["src/screens/**"], rules: notFrom("/screens/", "^\\.\\./(?!\\.\\.)", "/routes$") },
);
