import purgeCss from "@fullhuman/postcss-purgecss";
import type { Helpers, Root } from "postcss";
import { svelte } from "@sveltejs/vite-plugin-svelte";
import { defineConfig } from "vite";

// The widget and chart libraries' styles name fonts on a server of their maker's; nothing may be fetched at run time.
const noRemoteFonts = {
  postcssPlugin: "no-remote-fonts",
  AtRule: {
    "font-face"(rule: { toString(): string; remove(): void }) {
      if (/url\(["']?https?:/.test(rule.toString())) rule.remove();
    },
  },
};

// Of the widget library's styles, those of the widgets the screens use.
const WIDGETS = "node_modules/carbon-components-svelte/src";
const used = [
  "Button",
  "Checkbox",
  "Link",
  "Modal",
  "Notification",
  "ProgressBar",
  "RadioButton",
  "RadioButtonGroup",
  "Select",
  "TextInput",
];
const purge = purgeCss({
  content: ["index.html", "src/**/*.svelte", ...used.map((widget) => `${WIDGETS}/${widget}/*.svelte`)],
  variables: true,
  keyframes: true,
  // names that the widgets put together
  safelist: [/^bx--(?:btn|inline-notification|progress-bar|modal-container|select-input|text-input|layout)--/],
  // variants of those widgets that no screen uses
  blocklist: [/tooltip/, /toast/, /skeleton/, /--fluid/, /icon-only/],
}) as { OnceExit: (root: Root, helpers: Helpers) => Promise<void> };
// Our own styles are scoped to their components by the compiler, which says which are unused.
const onlyWhatIsUsed = {
  postcssPlugin: "only-what-is-used",
  async OnceExit(root: Root, helpers: Helpers) {
    if (root.source?.input.file?.includes("carbon-components-svelte/css")) await purge.OnceExit(root, helpers);
  },
};

export default defineConfig({
  plugins: [svelte()],
  css: { postcss: { plugins: [noRemoteFonts, onlyWhatIsUsed] } },
  build: { target: "es2022", chunkSizeWarningLimit: 1500 },
  server: { proxy: { "/api": "http://127.0.0.1:8321" } },
});
