import type { Progress } from "../progress";
import type { EntryRefusal } from "../refusal";

/** A line of a list that is ticked piece of goods by piece of goods. */
export interface TickLine {
  readonly id: string;
  readonly name: string;
  readonly pieces: number;
  /** The kit it is packed in. */
  readonly of?: string;
  /** Where it lies. */
  readonly place?: string;
  /** What to know of it, in the words of the sheet. */
  readonly note?: string;
}

/** Lines of a list that nobody has ticked yet. */
export const linesLeft = (
  { id, lines = [] }: { readonly id: string; readonly lines?: readonly TickLine[] },
  { ticked }: Pick<Progress, "ticked">,
): TickLine[] => lines.filter((line) => ticked.get(id)?.has(line.id) !== true);

export function refuseTick(lines: readonly TickLine[] = [], line: string): EntryRefusal | undefined {
  return lines.some(({ id }) => id === line) ? undefined : { path: "/line", kind: "no-such-line" };
}

export function refuseUnticked(
  step: { readonly id: string; readonly lines?: readonly TickLine[] },
  progress: Progress,
): EntryRefusal | undefined {
  const left = linesLeft(step, progress);
  return left.length === 0
    ? undefined
    : { path: "/step", kind: "tick-every-line", left: left.map(({ name }) => name) };
}

/** Lines of a list of the sheet, by their place on it. */
export const linesOf = (
  list: readonly { readonly name: string; readonly pieces?: number }[] = [],
): { lines?: readonly TickLine[] } =>
  list.length === 0
    ? {}
    : { lines: list.map(({ name, pieces = 1 }, index) => ({ id: `${index + 1}`, name, pieces })) };
