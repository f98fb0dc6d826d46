/** A value with what it was before and what was undone of it. */
export interface History<T> {
  readonly past: readonly T[];
  readonly now: T;
  readonly future: readonly T[];
  /** The field that the newest step was typed into. */
  readonly field: string | undefined;
}

const MOST_KEPT = 200;

export const begun = <T>(now: T): History<T> => ({ past: [], now, future: [], field: undefined });

/** A step of undo before what comes next. */
export const marked = <T>({ past, now }: History<T>): History<T> => ({
  past: [...past, now].slice(-MOST_KEPT),
  now,
  future: [],
  field: undefined,
});

/** @param typedAt the field that is typed into: its letters are one step, so that they are not undone singly */
export function changed<T>(history: History<T>, to: T, typedAt?: string): History<T> {
  const typesOn = typedAt !== undefined && typedAt === history.field;
  const before = typesOn ? history : marked(history);
  return { ...before, now: to, future: [], field: typedAt };
}

/** Changes it without a step of its own, for what moves under the finger. */
export const slid = <T>(history: History<T>, to: T): History<T> => ({ ...history, now: to });

export function undone<T>(history: History<T>): History<T> {
  const before = history.past.at(-1);
  if (before === undefined) return history;
  return {
    past: history.past.slice(0, -1),
    now: before,
    future: [history.now, ...history.future],
    field: undefined,
  };
}

export function redone<T>(history: History<T>): History<T> {
  const [next, ...future] = history.future;
  if (next === undefined) return history;
  return { past: [...history.past, history.now], now: next, future, field: undefined };
}
