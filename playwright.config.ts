import { defineConfig } from "@playwright/test";
import { CHROMIUM, heldBy } from "./e2e/browser";

export default defineConfig({
  testDir: "e2e",
  globalSetup: "./e2e/global-setup.ts",
  workers: 2,
  fullyParallel: false,
  // A whole job is a hundred cards; on the slowest host seen one took 160 s.
  timeout: 300_000,
  // Generous: how fast a thing is stands in bench/, and a host may be three times slower than another.
  expect: { timeout: 30_000 },
  reporter: [["list"], ["json", { outputFile: "test-results/playwright.json" }]],
  use: {
    launchOptions: CHROMIUM,
    storageState: heldBy("Tam Arkle"),
    viewport: { width: 1280, height: 800 },
    // Nothing a test looks at moves; drawing what moves costs the two processors of a host more than the work itself.
    contextOptions: { reducedMotion: "reduce" },
    actionTimeout: 30_000,
    // Each browser would fetch the whole program once more; what works without signal is tested on its own.
    serviceWorkers: "block",
    screenshot: "only-on-failure",
  },
});
