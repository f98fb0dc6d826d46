import { defineConfig } from "vitest/config";
import all from "../vitest.config";

/** Only the tests that lie beside what is changed: a capability has to be held by its own. */
const CAPABILITIES = ["store", "findings", "rounds", "build", "quantity"];

export default defineConfig({
  ...all,
  test: { ...all.test, include: CAPABILITIES.map((name) => `src/core/${name}/*.test.ts`) },
});
