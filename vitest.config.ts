import { fileURLToPath } from "node:url";
import { defineConfig } from "vitest/config";

export default defineConfig({
  resolve: {
    alias: {
      "@": fileURLToPath(new URL("./src", import.meta.url)),
      // The marker package throws outside a React server; the tests are the server here.
      "server-only": fileURLToPath(new URL("./node_modules/server-only/empty.js", import.meta.url)),
    },
  },
  test: {
    include: ["src/**/*.test.{ts,tsx}", "demo/**/*.test.ts"],
    // Generous, for hooks too: a host may be three times slower than another.
    testTimeout: 60_000,
    hookTimeout: 60_000,
    // No test replaces a module or leaves state in one, so the files share what they import: half the time.
    pool: "threads",
    isolate: false,
    maxWorkers: 2,
  },
});
