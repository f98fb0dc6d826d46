import { type Chances, ELSE, type Look, type Trouble, type TroubleFacts } from "../formats";

export const BANDS = ["below", "within", "above"] as const;
export type Band = (typeof BANDS)[number];

/** What a look can be answered. */
export const answersOf = (look: Look): readonly string[] =>
  look.kind === "choice" ? look.answers.map(({ id }) => id) : BANDS;

/** No answer is quite impossible: people misread, and knowledge is never complete. */
const SLIP = 0.004;

const withSlip = (chances: readonly number[]): number[] =>
  chances.map((each) => each * (1 - SLIP) + SLIP / chances.length);

/** How each cause answers a look. */
export class Answering {
  readonly answers: readonly string[];
  readonly #told: ReadonlyMap<string, readonly number[]>;
  readonly #usual: readonly number[] | undefined;
  readonly #else: readonly number[];

  constructor(look: Look, knowledge: Trouble, facts: TroubleFacts) {
    this.answers = answersOf(look);
    const list = (chances: Chances | Readonly<Record<string, number>>) =>
      withSlip(this.answers.map((answer) => (chances as Record<string, number>)[answer] ?? 0));
    const told = new Map<string, readonly number[]>();
    for (const { causes, chances } of look.tells ?? [])
      for (const cause of causes) told.set(cause, list(chances));
    // What is read on this very line says more than what is usual.
    for (const [cause, chances] of Object.entries(facts.world?.[look.id] ?? {}))
      told.set(cause, list(chances));
    this.#told = told;
    this.#usual = look.usual && list(look.usual);
    const even = this.answers.map(() => 1 / this.answers.length);
    const all = knowledge.causes.map(({ id }) => this.#of(id) ?? even);
    const mean = even.map((_, answer) => all.reduce((sum, each) => sum + each[answer]!, 0) / all.length);
    this.#else = mean.map((each, answer) => (3 * each + even[answer]!) / 4);
  }

  /** Chance of each answer, in the order of `answers`, when these causes are at work together. */
  chances(causes: readonly string[]): readonly number[] {
    if (causes[0] === ELSE) return this.#else;
    const speaking = causes.filter((cause) => this.#told.has(cause));
    // Of two causes the one that the look speaks of shows in it; where it speaks of both, the one as often as the other.
    const shown = (speaking.length > 0 ? speaking : causes).map((cause) => this.#of(cause) ?? this.#else);
    return this.answers.map(
      (_, answer) => shown.reduce((sum, each) => sum + each[answer]!, 0) / shown.length,
    );
  }

  #of(cause: string): readonly number[] | undefined {
    return this.#told.get(cause) ?? this.#usual;
  }
}
