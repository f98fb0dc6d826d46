// Runs the unit and the browser tests and closes with one line: N passed, N failed.
import { spawnSync } from "node:child_process";
import { mkdirSync, readFileSync, rmSync } from "node:fs";

mkdirSync("test-results", { recursive: true });
const RESULTS = { unit: "test-results/vitest.json", browser: "test-results/playwright.json" };
const run = (...command) => spawnSync("npx", command, { stdio: "inherit" }).status ?? 1;
const read = (path) => JSON.parse(readFileSync(path, "utf8"));

for (const path of Object.values(RESULTS)) rmSync(path, { force: true });
const unitStatus = run(
  "vitest",
  "run",
  "--reporter=default",
  "--reporter=json",
  `--outputFile.json=${RESULTS.unit}`,
);
const unit = read(RESULTS.unit);
const browserStatus = run("playwright", "test");
const browser = read(RESULTS.browser).stats;

const passed = unit.numPassedTests + browser.expected + browser.flaky;
const failed = unit.numFailedTests + browser.unexpected;
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed > 0 || unitStatus !== 0 || browserStatus !== 0 || passed === 0 ? 1 : 0);
