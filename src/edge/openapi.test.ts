import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { Validator } from "@seriousme/openapi-schema-validator";
import { expect, it } from "vitest";
import { CONTRACTS } from "./contracts";
import { openApi } from "./openapi";

it("is OpenAPI 3.1 by a validator that others keep", async () => {
  const validator = new Validator();
  const found = await validator.validate(JSON.parse(JSON.stringify(openApi())));
  expect(found.errors).toBeUndefined();
  expect(found.valid).toBe(true);
  expect(validator.version).toBe("3.1");
});

it("has every operation under a name of its own", () => {
  expect(new Set(CONTRACTS.map((each) => each.id)).size).toBe(CONTRACTS.length);
});

/** Every handler there is, by method and path, read from the folders. */
function handlers(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return handlers(path);
    if (entry.name !== "route.ts") return [];
    const route = folder.replace("src/app", "").replaceAll(/\[(\w+)\]/g, "{$1}");
    return [
      ...readFileSync(path, "utf8").matchAll(
        /export (?:const|async function|function) (GET|POST|PUT|DELETE)\b/g,
      ),
    ].map(([, method]) => `${method} ${route}`);
  });
}

it("declares every handler, and there is a handler for every declaration", () => {
  expect(handlers("src/app").sort()).toEqual(CONTRACTS.map(({ method, path }) => `${method} ${path}`).sort());
});

it("no handler is made by hand: each comes from its contract", () => {
  const text = (folder: string): string[] =>
    readdirSync(folder, { withFileTypes: true }).flatMap((entry) =>
      entry.isDirectory()
        ? text(join(folder, entry.name))
        : entry.name === "route.ts"
          ? [readFileSync(join(folder, entry.name), "utf8")]
          : [],
    );
  const all = text("src/app");
  expect(all.length).toBeGreaterThan(20);
  for (const source of all) expect(source).toMatch(/export const (GET|POST|PUT|DELETE) = route\(/);
});

it("there is no server action that goes round them", () => {
  const actions = (folder: string): string[] =>
    readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
      const path = join(folder, entry.name);
      if (entry.isDirectory()) return actions(path);
      return /\.tsx?$/.test(entry.name) && /^\s*"use server"/m.test(readFileSync(path, "utf8")) ? [path] : [];
    });
  expect(actions("src/app")).toEqual([]);
});
