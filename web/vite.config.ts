import { svelte } from "@sveltejs/vite-plugin-svelte";
import { optimizeCss } from "carbon-preprocess-svelte";
import { defineConfig } from "vite";

export default defineConfig({
  plugins: [svelte(), optimizeCss()],
  build: { target: "es2022", chunkSizeWarningLimit: 1500 },
  server: { proxy: { "/api": "http://127.0.0.1:8321" } },
});
