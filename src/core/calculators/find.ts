import type { Calculator } from "./declaration";

/** What of a calculation is looked at: its formula is not needed to find it. */
export type Described = Pick<Calculator, "title" | "words" | "says"> & {
  readonly inputs: readonly { readonly label: string }[];
};

const plain = (text: string): string =>
  text
    .normalize("NFKD")
    .replace(/[^\p{L}\p{N} ]/gu, " ")
    .toLowerCase();

/** Words that stand in every question and tell nothing. */
const EMPTY = new Set(
  "a an the is it this that what which how do does i my to of for on in at and or be with".split(" "),
);

const stem = (word: string): string => word.replace(/(ing|es|s|ed)$/, "");

const wordsIn = (text: string): string[] =>
  plain(text)
    .split(/\s+/)
    .filter((word) => word !== "" && !EMPTY.has(word))
    .map(stem);

/**
 * Calculations that fit what a technician would say ("rubber ring", "what size spanner"), best first. A phrase that stands
 * among its words counts most, then words of title and trade, then of what it says. Nothing typed gives all.
 */
export function findCalculators<C extends Described>(calculators: readonly C[], asked: string): readonly C[] {
  const wanted = wordsIn(asked);
  if (wanted.length === 0) return plain(asked).trim() === "" ? calculators : [];
  const phrase = wanted.join(" ");
  return calculators
    .map((calculator) => ({ calculator, score: score(calculator, wanted, phrase) }))
    .filter((each) => each.score > 0)
    .sort((a, b) => b.score - a.score)
    .map((each) => each.calculator);
}

function score(calculator: Described, wanted: readonly string[], phrase: string): number {
  const phrases = [calculator.title, ...calculator.words].map((text) => wordsIn(text).join(" "));
  const trade = phrases.flatMap((each) => each.split(" "));
  const said = wordsIn(`${calculator.says} ${calculator.inputs.map((input) => input.label).join(" ")}`);
  const begins = (words: readonly string[], word: string) => words.some((each) => each.startsWith(word));
  const each = wanted.map((word): number =>
    trade.includes(word)
      ? 4
      : begins(trade, word)
        ? 3
        : said.includes(word)
          ? 1.5
          : begins(said, word)
            ? 1
            : 0,
  );
  // A word that fits nowhere counts against it, but "what size spanner for M12" still finds spanners.
  const share = each.filter((points) => points > 0).length / wanted.length;
  const whole = phrases.some((one) => one === phrase)
    ? 12
    : phrases.some((one) => one.includes(phrase))
      ? 6
      : 0;
  return share < 0.5 ? 0 : whole + each.reduce((sum, points) => sum + points, 0) * share;
}
