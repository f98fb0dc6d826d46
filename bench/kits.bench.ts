import type { CoverQuestion, Sheet, Store } from "@/core/formats";
import { seeded } from "@/core/seeded";
import { answerCover, chooseKits, type IntegerSolver, smallSolver } from "@/core/store";
import { bigQuestion } from "@/core/store/cover.fixtures";
import { highsSolver } from "@/server/heavy/highs";
import { row } from "./table";

const PARTS = 40;
const KITS = 60;
const PLACES = 5;
const ROUNDS = 100;
const WARM = 4;
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

/** Asks every question, after what is compiled once has been. */
function ask<Question>(
  what: string,
  questions: readonly Question[],
  isProven: (question: Question) => boolean,
  beside?: number,
): number {
  questions.slice(0, WARM).forEach(isProven);
  let proven = 0;
  const times = questions.map((question) => {
    const begun = performance.now();
    if (isProven(question)) proven++;
    return performance.now() - begun;
  });
  times.sort((a, b) => a - b);
  const [median, worst] = [times[Math.floor(times.length / 2)]!, times.at(-1)!];
  const ratio = beside === undefined ? "1.00 ×" : `${(median / beside).toFixed(2)} ×`;
  const measured = `${median.toFixed(0)} and ${worst.toFixed(0)} ms`;
  console.log(`${what.padEnd(56)} ${measured.padStart(14)}, ${ratio}, proven ${proven} of ${times.length}`);
  row({
    bench: "kits",
    what: `${what}, median and worst; proven ${proven} of ${times.length}`,
    measured,
    reach: "200 ms",
    ratio,
  });
  return median;
}

console.log(
  `\nKits for ${PARTS} parts from ${KITS} kits and ${PARTS} single parts: median and worst (reach 200 ms)`,
);
const asked = Array.from({ length: ROUNDS }, (_, seed) => bigQuestion(seed, PARTS, KITS));
const atPlaces = asked.map(lying);
const highs = await highsSolver();
const forJob = (solve: IntegerSolver) => (of: (typeof atPlaces)[number]) =>
  chooseKits(of.sheet, of.needs, of.store, undefined, solve).exact;
ask("the route, in any number, by the server's HiGHS", asked, (question) => {
  const answer = answerCover(question, highs);
  return answer.ok && answer.value.exact;
});
const device = ask(
  `a job, ${PLACES} places, best and second, by the device's`,
  atPlaces,
  forJob(smallSolver),
);
ask(`a job, ${PLACES} places, best and second, by HiGHS`, atPlaces, forJob(highs), device);
