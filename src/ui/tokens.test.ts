import { readdirSync, readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";

const root = new URL("../..", import.meta.url).pathname;
const screens = ["src/app", "src/ui"]
  .flatMap((folder) =>
    readdirSync(`${root}/${folder}`, { recursive: true }).map((name) => `${folder}/${name}`),
  )
  .filter((file) => /\.tsx?$/.test(file) && !file.endsWith(".test.ts"))
  .map((file) => ({ file, text: readFileSync(`${root}/${file}`, "utf8") }));
const styles = ["globals.css", "inks.css"]
  .map((name) => readFileSync(`${root}/src/app/${name}`, "utf8"))
  .join();

const found = (pattern: RegExp, except: readonly string[] = []) =>
  screens.flatMap(({ file, text }) =>
    except.includes(file) ? [] : [...text.matchAll(pattern)].map(([match]) => `${file}: ${match}`),
  );

describe("sizes of type and colours are tokens", () => {
  it("looks at all screens", () => {
    expect(screens.length).toBeGreaterThan(150);
  });

  it("no screen has a size of its own", () => {
    expect(found(/text-\[\d[^\]]*\]|\btext-(xs|sm|base|lg|xl|\dxl)\b/g)).toEqual([]);
  });

  it("no screen has a colour of its own", () => {
    // The browser's own frame is told before any style is there.
    expect(found(/["'`([]#[0-9a-fA-F]{3,8}\b/g, ["src/app/layout.tsx", "src/app/manifest.ts"])).toEqual([]);
  });

  it("every token that is named is there", () => {
    const named = new Set(
      screens.flatMap(({ text }) => [...text.matchAll(/--ink-[a-z-]+[a-z]/g)].map(([name]) => name)),
    );
    expect(named.size).toBeGreaterThan(40);
    for (const name of named) expect(styles).toContain(`${name}:`);
  });

  it("there are seven sizes", () => {
    expect([...styles.matchAll(/--text-[a-z]+: [\d.]+rem/g)]).toHaveLength(7);
  });
});
