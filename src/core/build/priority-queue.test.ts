import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { PriorityQueue } from "./priority-queue";

describe("a queue by least key", () => {
  it("gives nothing when it is empty", () => {
    const queue = new PriorityQueue<string>();
    expect(queue.size).toBe(0);
    expect(queue.pop()).toBeUndefined();
    queue.push(1, "a");
    expect(queue.pop()).toMatchObject({ key: 1, value: "a" });
    expect(queue.pop()).toBeUndefined();
  });

  it("gives what a stable sort gives, whatever comes in between", () => {
    let popped = 0;
    fc.assert(
      fc.property(fc.array(fc.oneof(fc.integer({ min: 0, max: 9 }), fc.constant("pop"))), (acts) => {
        const queue = new PriorityQueue<number>();
        const plain: { key: number; value: number }[] = [];
        acts.forEach((act, turn) => {
          if (typeof act === "number") {
            queue.push(act, turn);
            plain.push({ key: act, value: turn });
          } else {
            plain.sort((a, b) => a.key - b.key || a.value - b.value);
            const least = plain.shift();
            expect(queue.pop()?.value).toBe(least?.value);
            if (least !== undefined) popped++;
          }
          expect(queue.size).toBe(plain.length);
        });
      }),
    );
    expect(popped).toBeGreaterThan(50);
  });
});
