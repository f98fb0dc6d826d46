import { expect, it } from "vitest";
import { Turnstile } from "./turnstile";

it("lets in so many, the others in their order, and none twice for one who leaves twice", () => {
  const turnstile = new Turnstile(2);
  const began: number[] = [];
  const leave: (() => void)[] = [];
  for (let who = 0; who < 5; who++)
    turnstile.enter((out) => {
      began.push(who);
      leave[who] = out;
    });
  expect(began).toEqual([0, 1]);
  leave[1]!();
  leave[1]!();
  expect(began).toEqual([0, 1, 2]);
  leave[0]!();
  leave[2]!();
  expect(began).toEqual([0, 1, 2, 3, 4]);
});
