import type { CoverQuestion, Sheet, Store } from "@/core/formats";
import { seeded } from "@/core/seeded";
import { chooseKits, smallSolver } from "@/core/store";
import { bigQuestion } from "@/core/store/cover.fixtures";
import { highsSolver } from "@/server/heavy/highs";
import { row } from "./table";

const PARTS = 40;
const KITS = 60;
const PLACES = 5;
const ROUNDS = 24;
const DAYS = [0, 0, 1, 3, 7];

/** The question as a sheet, and five places that have about half of it each, at their own prices. */
function lying({ kits, parts, needed }: CoverQuestion, seed: number) {
  const next = seeded(seed);
  const sheet = {
    id: "valve",
    parts: parts.map(({ part }) => ({ id: part, name: part })),
    kits: kits.map(({ id, contents }) => ({
      id,
      name: id,
      contents: contents.map(({ part, qty }) => ({ part, quantity: qty })),
    })),
  } as unknown as Sheet;
  const at = (kind: "kit" | "part", id: string, cents: number): Store["stock"] =>
    DAYS.flatMap((_, place) =>
      next() < 0.5
        ? [
            {
              item: { kind, id },
              name: id,
              place: `${place}`,
              quantity: 1 + Math.floor(6 * next()),
              price: Math.round(cents * (0.9 + 0.25 * next())) / 100,
            },
          ]
        : [],
    );
  const store: Store = {
    format: "loftbell.store",
    version: 1,
    id: "store",
    name: "Store",
    currency: "SHP",
    places: DAYS.map((days, place) => ({ id: `${place}`, name: `${place}`, kind: "shop", days })),
    stock: [
      ...kits.flatMap(({ id, price_cents }) => at("kit", id, price_cents)),
      ...parts.flatMap(({ part, price_cents }) => at("part", part, price_cents)),
    ],
  };
  return { sheet, store, needs: new Map(needed.map(({ part, qty }) => [part, qty])) };
}

const questions = Array.from({ length: ROUNDS }, (_, seed) => lying(bigQuestion(seed, PARTS, KITS), seed));
const solvers = { "the server's (HiGHS)": await highsSolver(), "the device's": smallSolver };
// What is compiled once is not counted with the first question.
for (const solve of Object.values(solvers))
  for (const { sheet, needs, store } of questions.slice(0, 4))
    chooseKits(sheet, needs, store, undefined, solve);

console.log(
  `\nKits for ${PARTS} parts from ${KITS} kits and ${PARTS} single parts at ${PLACES} places, best and second best (reach 200 ms)`,
);
let first: number | undefined;
for (const [name, solve] of Object.entries(solvers)) {
  const times: number[] = [];
  let proven = 0;
  for (const { sheet, needs, store } of questions) {
    const begun = performance.now();
    const choice = chooseKits(sheet, needs, store, undefined, solve);
    times.push(performance.now() - begun);
    if (choice.exact) proven++;
  }
  times.sort((a, b) => a - b);
  const median = times[Math.floor(ROUNDS / 2)]!;
  first ??= median;
  console.log(
    `${name.padEnd(24)} median ${median.toFixed(0).padStart(5)} ms, worst ${times.at(-1)!.toFixed(0).padStart(5)} ms, ${(median / first).toFixed(2)} ×, proven ${proven} of ${ROUNDS}`,
  );
  row({
    bench: "kits",
    what: `best and second best by ${name} solver, median and worst; proven ${proven} of ${ROUNDS}`,
    measured: `${median.toFixed(0)} and ${times.at(-1)!.toFixed(0)} ms`,
    reach: "200 ms",
    ratio: `${(median / first).toFixed(2)} ×`,
  });
}
