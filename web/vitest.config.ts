import { svelte } from "@sveltejs/vite-plugin-svelte";
import { defineConfig } from "vitest/config";
import { spokenTexts } from "./spokenTexts";

export default defineConfig({
  plugins: [spokenTexts, svelte()],
  // A minimal system has no name for this machine.
  server: { host: "127.0.0.1" },
  test: { include: ["tests/**/*.test.ts"], environment: "node" },
});
