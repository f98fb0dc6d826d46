import { err, ok, type Result } from "../result";

/** A field that two people changed differently: where, and what the other one made of it. */
export interface Clash {
  readonly path: string;
  readonly theirs: unknown;
}

type Fields = Readonly<Record<string, unknown>>;

const isFields = (value: unknown): value is Fields =>
  typeof value === "object" && value !== null && !Array.isArray(value);

/** Whether two values of JSON are the same, in whatever order their fields stand. */
export function alike(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (Array.isArray(a) && Array.isArray(b))
    return a.length === b.length && a.every((each, index) => alike(each, b[index]));
  if (!isFields(a) || !isFields(b)) return false;
  const names = new Set([...Object.keys(a), ...Object.keys(b)]);
  return [...names].every((name) => alike(a[name], b[name]));
}

/**
 * What one person makes of a thing, put over what it is by now: fields that only one side changed are as that side has
 * them, at any depth; lists are changed as a whole. The same merge takes a change back: what it made is what there was,
 * what was before it is what is wanted.
 *
 * @param was as it was when the change was begun · @param mine as it shall be · @param now as it is by now
 * @returns the merged thing, or every field that both sides changed, and differently
 */
export function merged<T>(was: T | undefined, mine: T, now: T | undefined): Result<T, Clash[]> {
  const clashes: Clash[] = [];
  const value = merge(was, mine, now, "", clashes) as T;
  return clashes.length > 0 ? err(clashes) : ok(value);
}

function merge(was: unknown, mine: unknown, now: unknown, path: string, clashes: Clash[]): unknown {
  if (alike(mine, was)) return now;
  if (alike(now, was) || alike(now, mine)) return mine;
  const sides = [was ?? {}, mine ?? {}, now ?? {}];
  if (!sides.every(isFields) || (path === "" && now === undefined)) {
    clashes.push({ path, theirs: now });
    return now;
  }
  const [a, b, c] = sides as Fields[];
  const names = new Set([...Object.keys(c!), ...Object.keys(b!), ...Object.keys(a!)]);
  const fields = [...names].flatMap((name) => {
    const value = merge(a![name], b![name], c![name], `${path}/${name}`, clashes);
    return value === undefined ? [] : [[name, value] as const];
  });
  // A record that nothing is left of is none.
  return fields.length === 0 && path !== "" ? undefined : Object.fromEntries(fields);
}
