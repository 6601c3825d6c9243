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

export default defineConfig({
  plugins: [svelte(), optimizeCss()],
  css: { postcss: { plugins: [noRemoteFonts] } },
  build: { target: "es2022", chunkSizeWarningLimit: 1500, rolldownOptions: { checks: { pluginTimings: false } } },
  server: { proxy: { "/api": "http://127.0.0.1:8321" } },
});
