import { expect, it } from "vitest";
import { Turnstile } from "./turnstile";

/** So many come to a turnstile; who began where, and how each leaves. */
function queue(turnstile: Turnstile<string>, many: number) {
  const began: string[] = [];
  const leave: (() => void)[] = [];
  for (let who = 0; who < many; who++)
    turnstile.enter((place, out) => {
      began.push(`${who} ${place}`);
      leave[who] = out;
    });
  return { began, leave };
}

it("lets in so many, the others in their order, and none twice for one who leaves twice", () => {
  const turnstile = new Turnstile<string>(2);
  turnstile.open("a");
  const { began, leave } = queue(turnstile, 5);
  expect(began).toEqual(["0 a", "1 a"]);
  leave[1]!();
  leave[1]!();
  expect(began).toEqual(["0 a", "1 a", "2 a"]);
  leave[0]!();
  leave[2]!();
  expect(began).toEqual(["0 a", "1 a", "2 a", "3 a", "4 a"]);
});

it("sends each to the place with most room, and those who wait to one that opens", () => {
  const turnstile = new Turnstile<string>(1);
  turnstile.open("a");
  const { began } = queue(turnstile, 3);
  expect(began).toEqual(["0 a"]);
  turnstile.open("b");
  expect(began).toEqual(["0 a", "1 b"]);
  expect(turnstile.places).toBe(2);
});

it("sends nobody to a place that has closed; who is inside there leaves as if it had not", () => {
  const turnstile = new Turnstile<string>(1);
  turnstile.open("a");
  const { began, leave } = queue(turnstile, 3);
  turnstile.close("a");
  leave[0]!();
  expect(began).toEqual(["0 a"]);
  turnstile.open("b");
  leave[1]!();
  expect(began).toEqual(["0 a", "1 b", "2 b"]);
});

it("keeps everybody waiting where no place is open", () => {
  const turnstile = new Turnstile<string>(2);
  const { began } = queue(turnstile, 3);
  expect(began).toEqual([]);
  turnstile.open("a");
  expect(began).toEqual(["0 a", "1 a"]);
});
