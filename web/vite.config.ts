import { svelte } from "@sveltejs/vite-plugin-svelte";
import { optimizeCss } from "carbon-preprocess-svelte";
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

// Of the widget library's styles, those of widgets and themes no screen uses: a third of what the first page would load.
const unused =
  /skeleton|theme="?(g10|g80|g90)\b|bx--(tooltip|time-picker|pin-code|date-picker|toast-notification|pagination|search|toggle|list-box|multi-select|combo-box|structured-list|table-toolbar|data-table|snippet|action-set|file|flatpickr|text-area|slider|dropdown|copy-|combo-button|tree|batch-summary)|flatpickr/;
const onlyWhatIsUsed = {
  postcssPlugin: "only-what-is-used",
  Rule(rule: { selectors: string[]; remove(): void }) {
    const kept = rule.selectors.filter((selector) => !unused.test(selector));
    if (!kept.length) rule.remove();
    else if (kept.length < rule.selectors.length) rule.selectors = kept;
  },
};

export default defineConfig({
  plugins: [svelte(), optimizeCss()],
  css: { postcss: { plugins: [noRemoteFonts, onlyWhatIsUsed] } },
  build: { target: "es2022", chunkSizeWarningLimit: 1500, rolldownOptions: { checks: { pluginTimings: false } } },
  server: { proxy: { "/api": "http://127.0.0.1:8321" } },
});
