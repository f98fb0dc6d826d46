/** An expected failure is a value: callers must look at it, and it carries the facts a message needs. */
export type Result<T, E> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly error: E };

export const ok = <T>(value: T): Result<T, never> => ({ ok: true, value });
export const err = <E>(error: E): Result<never, E> => ({ ok: false, error });

/** A switch over a union ends here; the compiler objects when a case is missing. */
export function unreachable(value: never): never {
  throw new Error(`unexpected case: ${JSON.stringify(value)}`);
}

/** One thing wrong with a document: where (JSON pointer-like path) and what to do about it. */
export interface Problem {
  readonly path: string;
  readonly message: string;
}
