import { readFileSync } from "node:fs";
import { expect, it } from "vitest";
import { benchBookPage, CALCULATORS } from ".";

it("docs/calculators.md is what the declarations make: run ./loftbell docs", () => {
  const written = readFileSync(new URL("../../../docs/calculators.md", import.meta.url), "utf8");
  expect(written).toBe(benchBookPage());
});

it("names every input and output of every calculation", () => {
  const page = benchBookPage();
  for (const { id, inputs, outputs } of CALCULATORS) {
    const part = page.slice(page.indexOf(`(\`${id}\`)`)).split("\n### ")[0]!;
    for (const { name } of [...inputs, ...outputs]) expect(part, id).toContain(`\`${name}\``);
  }
  expect(page).not.toMatch(/NaN|undefined/);
});
