import type { RecordLine } from "./record";

/** Entries of one kind at one step that belong together: a bolt circle, a stack, a list. */
export interface FoldedLine {
  readonly first: RecordLine;
  readonly last: RecordLine;
  readonly count: number;
}

const FOLDS: ReadonlySet<RecordLine["event"]["kind"]> = new Set([
  "bolt-pulled",
  "piece-set",
  "piece-judged",
  "line-ticked",
] as const);

/** The log with what belongs together as one line; what was made without signal, or by another, stands alone. */
export function foldLog(lines: readonly RecordLine[]): FoldedLine[] {
  const folded: FoldedLine[] = [];
  for (const line of lines) {
    const before = folded.at(-1);
    if (before !== undefined && belongs(before.last, line))
      folded[folded.length - 1] = { ...before, last: line, count: before.count + 1 };
    else folded.push({ first: line, last: line, count: 1 });
  }
  return folded;
}

const stepOf = ({ event }: RecordLine) => ("step" in event ? event.step : undefined);

const belongs = (before: RecordLine, line: RecordLine): boolean =>
  FOLDS.has(line.event.kind) &&
  before.event.kind === line.event.kind &&
  stepOf(before) === stepOf(line) &&
  before.by === line.by &&
  before.storedAt === undefined &&
  line.storedAt === undefined;
