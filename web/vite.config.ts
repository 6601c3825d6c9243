import { svelte } from "@sveltejs/vite-plugin-svelte";
import { optimizeCss } from "carbon-preprocess-svelte";
import type { Root } from "postcss";
import { defineConfig } from "vite";
import { spokenTexts } from "./spokenTexts";

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
  /skeleton|theme="?(g10|g80|g90)\b|bx--(tooltip|time-picker|pin-code|date-picker|toast-notification|pagination|search|toggle|list-box|multi-select|combo-box|structured-list|table-toolbar|data-table|snippet|action-set|file|flatpickr|text-area|slider|dropdown|copy-|combo-button|skip-to|tree|batch-summary|interstitial-screen|password-input|toolbar|menu-button|select-optgroup|text-input--password|form--fluid|btn--danger-?-ghost|checkbox-group|action-list|label-description|table-column|number|loading|inline-loading)|flatpickr|numInput|dayContainer|MonthDay/;
const onlyWhatIsUsed = {
  postcssPlugin: "only-what-is-used",
  Rule(rule: { selectors: string[]; remove(): void }) {
    const kept = rule.selectors.filter((selector) => !unused.test(selector));
    if (!kept.length) rule.remove();
    else if (kept.length < rule.selectors.length) rule.selectors = kept;
  },
};

// Of its tokens, those it asks for itself: its themes name hundreds. Our own styles, which ask for none, only set some.
const onlyTokensAskedFor = {
  postcssPlugin: "only-tokens-asked-for",
  OnceExit(root: Root) {
    const asked = new Set(
      root
        .toString()
        .match(/var\(--cds-[\w-]+/g)
        ?.map((use) => use.slice(4)),
    );
    if (!asked.size) return;
    root.walkDecls(/^--cds-/, (token) => {
      if (!asked.has(token.prop)) token.remove();
    });
  },
};

export default defineConfig({
  plugins: [spokenTexts, svelte(), optimizeCss()],
  css: { postcss: { plugins: [noRemoteFonts, onlyWhatIsUsed, onlyTokensAskedFor] } },
  build: { target: "es2022", chunkSizeWarningLimit: 1500 },
  server: { proxy: { "/api": "http://127.0.0.1:8321" } },
});
