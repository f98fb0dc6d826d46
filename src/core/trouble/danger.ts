import type { End, Trouble, TroubleFacts } from "../formats";

/** What cannot wait: the end, and what said so. */
export interface Danger {
  readonly end: string;
  /** The look whose answer it was; the complaint itself when absent. */
  readonly look?: string;
}

const urgency = (end: End | undefined): number =>
  end?.kind === "leak" ? end.grade : end?.kind === "call" ? 2 : 4;

/** The worst that was said so far, whatever is likely. */
export function dangerIn(
  { complaints, looks, ends }: Trouble,
  { complaint }: TroubleFacts,
  answers: ReadonlyMap<string, string>,
): Danger | undefined {
  const first = complaints.find(({ id }) => id === complaint)?.danger;
  const seen = looks.flatMap((look): Danger[] => {
    const answer = answers.get(look.id);
    if (answer === undefined) return [];
    const end =
      look.kind === "choice"
        ? look.answers.find(({ id }) => id === answer)?.danger
        : answer === "below" || answer === "above"
          ? look.danger?.[answer]
          : undefined;
    return end === undefined ? [] : [{ end, look: look.id }];
  });
  const all: Danger[] = [...(first === undefined ? [] : [{ end: first }]), ...seen];
  const of = (danger: Danger) => urgency(ends.find(({ id }) => id === danger.end));
  return all.sort((a, b) => of(a) - of(b))[0];
}
