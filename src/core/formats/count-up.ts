/**
 * The tags of a row of equal ones: the figures at the end count up and keep their width, H-09, H-10; a tag without
 * figures gets them, GATE, GATE-2.
 */
export function countUp(first: string, count: number): string[] {
  const [, head = first, figures = ""] = /^(.*?)(\d*)$/s.exec(first) ?? [];
  if (figures === "")
    return Array.from({ length: count }, (_, index) => (index === 0 ? first : `${first}-${index + 1}`));
  const from = Number(figures);
  return Array.from(
    { length: count },
    (_, index) => `${head}${String(from + index).padStart(figures.length, "0")}`,
  );
}
