import { distance } from "fastest-levenshtein";
import { CALCULATORS, findCalculators } from "@/core/calculators";
import { FINDABLE_KINDS, type FindableKind, type Found } from "@/data";
import type { Services } from "../services";

/** One thing found, with where it leads. */
export interface Hit {
  readonly kind: FindableKind | "bench";
  readonly name: string;
  readonly says: string;
  readonly href: string;
}

export interface FoundAnswer {
  readonly hits: readonly Hit[];
  /** Nothing begins with what was typed: these are one slip away, and none of them is meant for certain. */
  readonly near: boolean;
}

const MOST_OF_A_KIND = 8;
const MOST_MENDED = 24;

const hit = ({ kind, name, says, href }: Found): Hit => ({ kind, name, says, href });
const plain = (text: string) =>
  text
    .toLowerCase()
    .replaceAll(/[^\p{L}\p{N}]+/gu, " ")
    .trim();

/** Exact before beginning before merely holding the words; then the shorter name, then the alphabet. */
function inOrder(typed: string, found: readonly Found[]): Found[] {
  const wanted = plain(typed);
  const weight = (each: Found) => {
    const name = plain(each.name);
    return name === wanted ? 0 : name.startsWith(wanted) ? 1 : 2;
  };
  return [...found].sort(
    (a, b) =>
      weight(a) - weight(b) ||
      FINDABLE_KINDS.indexOf(a.kind) - FINDABLE_KINDS.indexOf(b.kind) ||
      a.name.length - b.name.length ||
      a.name.localeCompare(b.name),
  );
}

/** Every word that was typed begins a word of its title or of the trade: Enter must not open a sum by half a word. */
function isCalled(
  { title, words }: { readonly title: string; readonly words: readonly string[] },
  typed: string,
): boolean {
  const called = plain([title, ...words].join(" ")).split(" ");
  const wanted = plain(typed).split(" ");
  return wanted[0] !== "" && wanted.every((word) => called.some((each) => each.startsWith(word)));
}

/** No kind may push the others off the card. */
function fewOfEach(hits: readonly Hit[]): Hit[] {
  const count = new Map<string, number>();
  return hits.filter(({ kind }) => {
    const nth = (count.get(kind) ?? 0) + 1;
    count.set(kind, nth);
    return nth <= MOST_OF_A_KIND;
  });
}

/**
 * What is found as one types. The valve whose tag was typed always comes first; then what begins with the words; and
 * only when there is nothing, what lies one slip away.
 */
export function find(services: Services, typed: string): FoundAnswer {
  const { find: index, register } = services;
  const tag = register.tagLike(typed.trim());
  const direct = index.beginning(typed);
  const bench: Hit[] = findCalculators(CALCULATORS, typed)
    .filter((each) => isCalled(each, typed))
    .slice(0, MOST_OF_A_KIND)
    .map(({ id, title, words }) => ({
      kind: "bench",
      name: title,
      says: words.join(", "),
      href: `/bench/${id}`,
    }));
  const isExact = (each: Found) => each.kind === "valve" && each.owner === tag;
  const exact = direct.find(isExact) ?? (tag === undefined ? undefined : valveHit(services, tag));
  const hits = [
    ...(exact === undefined ? [] : [hit(exact)]),
    ...inOrder(
      typed,
      direct.filter((each) => !isExact(each)),
    ).map(hit),
    ...bench,
  ];
  if (hits.length > 0) return { hits: fewOfEach(hits), near: false };
  const mended = oneSlipAway(services, typed);
  return { hits: fewOfEach(mended.map(hit)), near: mended.length > 0 };
}

/** A common beginning may have pushed the exact valve out of what was looked at. */
function valveHit({ register }: Services, tag: string): Found | undefined {
  const valve = register.valve(tag);
  return (
    valve && {
      kind: "valve",
      owner: tag,
      name: tag,
      says: `${valve.name}, ${valve.place}`,
      href: `/valves/${encodeURIComponent(tag)}`,
    }
  );
}

function oneSlipAway({ find: index }: Services, typed: string): Found[] {
  const words = plain(typed)
    .split(" ")
    .filter((word) => word !== "");
  // One slip in one of the words; the others stand as they were typed.
  const mended = words.flatMap((word, at) =>
    index
      .near(word, (term) => isOneSlip(word, term))
      .slice(0, MOST_MENDED)
      .map((term) => words.with(at, term).join(" ")),
  );
  const seen = new Map<string, Found>();
  for (const attempt of mended)
    for (const each of index.beginning(attempt)) seen.set(`${each.href} ${each.name}`, each);
  return inOrder(typed, [...seen.values()]);
}

/** A letter too many, one missing, one wrong, or two neighbours changed about. */
export function isOneSlip(word: string, term: string): boolean {
  if (Math.abs(word.length - term.length) > 1) return false;
  if (distance(word, term) <= 1) return true;
  if (word.length !== term.length) return false;
  const at = [...word].findIndex((letter, index) => letter !== term[index]);
  return word[at] === term[at + 1] && word[at + 1] === term[at] && word.slice(at + 2) === term.slice(at + 2);
}
