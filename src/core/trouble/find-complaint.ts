import type { Complaint, Trouble } from "../formats";

const WORD = /[\p{L}\p{N}]+/gu;
/** Words that say nothing of what is wrong. */
const EMPTY = new Set(
  "a an the is are it its of at on in to and or no not does do has my our there that this i we you with when".split(
    " ",
  ),
);

const stem = (word: string) => word.replace(/(ing|ed|es|s)$/, "");
const wordsOf = (text: string): string[] =>
  [...text.toLowerCase().matchAll(WORD)]
    .map(([word]) => word)
    .filter((word) => !EMPTY.has(word))
    .map(stem);

/** Complaints by how well they answer to what was typed, best first; all, in their order, where none does. */
export function findComplaints({ complaints }: Pick<Trouble, "complaints">, typed: string): Complaint[] {
  const asked = wordsOf(typed);
  const score = ({ says, words = [] }: Complaint) => {
    const known = [says, ...words].flatMap(wordsOf);
    const of = (word: string) => {
      if (known.includes(word)) return 1;
      return known.some((each) => each.startsWith(word) || (each.length > 3 && word.startsWith(each)))
        ? 0.5
        : 0;
    };
    return asked.reduce((sum, word) => sum + of(word), 0);
  };
  const scored = complaints.map((complaint) => ({ complaint, score: score(complaint) }));
  const fitting = scored.filter(({ score: any }) => any > 0).sort((a, b) => b.score - a.score);
  return (fitting.length > 0 ? fitting : scored).map(({ complaint }) => complaint);
}
