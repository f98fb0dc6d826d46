/** One field that differs, with both values in words; nothing where it is not there. */
export interface Difference {
  readonly path: string;
  readonly before: string | undefined;
  readonly after: string | undefined;
}

type Plain = Readonly<Record<string, unknown>>;

const isObject = (value: unknown): value is Plain =>
  typeof value === "object" && value !== null && !Array.isArray(value);

/** Entries of a list are told apart by their id where they have one, else by their place. */
function asFields(value: unknown): Plain {
  if (!Array.isArray(value)) return value as Plain;
  return Object.fromEntries(
    value.map((each, index) => [
      isObject(each) && typeof each.id === "string" ? each.id : String(index),
      each,
    ]),
  );
}

const MOST_LETTERS = 120;

function said(value: unknown): string | undefined {
  if (value === undefined) return undefined;
  const text = typeof value === "string" ? value : (JSON.stringify(value) ?? "");
  return text.length > MOST_LETTERS ? `${text.slice(0, MOST_LETTERS - 1)}…` : text;
}

/**
 * Every field in which two documents differ, each at its path. Values that are there on one side only are told whole.
 *
 * @param most further differences are not listed
 */
export function differences(before: unknown, after: unknown, most = 500): Difference[] {
  const found: Difference[] = [];
  const walk = (a: unknown, b: unknown, path: string): void => {
    if (found.length >= most || a === b) return;
    const bothObjects = isObject(a) && isObject(b);
    const bothLists = Array.isArray(a) && Array.isArray(b);
    if (!bothObjects && !bothLists) {
      const [was, is] = [JSON.stringify(a), JSON.stringify(b)];
      if (was !== is) found.push({ path: path === "" ? "/" : path, before: said(a), after: said(b) });
      return;
    }
    const [had, has] = [asFields(a), asFields(b)];
    for (const key of new Set([...Object.keys(had), ...Object.keys(has)]))
      walk(had[key], has[key], `${path}/${key}`);
  };
  walk(before, after, "");
  return found;
}
