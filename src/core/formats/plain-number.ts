/** A figure as it is typed, with a point or a comma; NaN where it is none, nothing where nothing stands there. */
export function plainNumber(typed: string): number | undefined {
  const text = typed.trim();
  return text === "" ? undefined : Number(text.replace(",", "."));
}
