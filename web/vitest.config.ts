import { svelte } from "@sveltejs/vite-plugin-svelte";
import { defineConfig } from "vitest/config";

export default defineConfig({
  plugins: [svelte()],
  // A minimal system has no name for this machine.
  server: { host: "127.0.0.1" },
  test: { include: ["tests/**/*.test.ts"], environment: "node", testTimeout: 60_000 },
});
