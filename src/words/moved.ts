import type { Moved } from "@/core/job";
import type { Speaker } from "./speaker";

/** What is moved, kind by kind. */
export function movedWords(
  and: (names: readonly string[]) => string,
  moved: readonly Moved[],
  words: Record<Moved["how"], (names: string) => string>,
): string[] {
  const kinds = [...new Set(moved.map((each) => each.how))];
  return kinds.map((how) =>
    words[how](and(moved.filter((each) => each.how === how).map(({ name }) => name))),
  );
}

/** What a card moves for its own sake, as chips. */
export const movesCues = (say: Speaker["say"], moves: readonly Moved[] = []): string[] =>
  movedWords(say.common.and, moves, say.steps.moves);
