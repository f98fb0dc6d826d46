import { afterEach, describe, expect, it } from "vitest";
import { onPaperOr503 } from "./print";

const kept = globalThis as { loftbellPools?: unknown };
afterEach(() => {
  kept.loftbellPools = undefined;
});
const printer = (run: () => Promise<Uint8Array>) => {
  kept.loftbellPools = { papers: { run } };
};
const labels = { kind: "labels", sheet: {}, skip: 0, labels: [] } as never;

describe("a paper that is asked for", () => {
  it("goes out under its name", async () => {
    printer(async () => new TextEncoder().encode("%PDF"));
    const printed = await onPaperOr503(labels, "labels valves");
    expect(printed.ok && printed.value.headers.get("content-disposition")).toContain("labels");
    expect(printed.ok && (await printed.value.text())).toBe("%PDF");
  });

  it("is refused with words while too many wait before it", async () => {
    printer(() => Promise.reject(new Error("Task queue is at limit")));
    const printed = await onPaperOr503(labels, "labels valves");
    expect(printed).toMatchObject({ ok: false, error: { status: 503 } });
    expect(JSON.stringify(printed)).toContain("Ask again in a minute");
  });

  it("that cannot be set is a fault of ours, and no other answer", async () => {
    printer(() => Promise.reject(new Error("no such font")));
    await expect(onPaperOr503(labels, "labels valves")).rejects.toThrow("no such font");
  });
});
