import { calculatorNamed, readTyped } from "../calculators";
import type { Sheet, SheetSum } from "../formats";
import type { Problem } from "../result";

/** Every sum that a sheet opens is in the bench book, begins with fields it has, and takes over from checks that measure. */
export function checkSums(sheet: Sheet): Problem[] {
  const measured = new Set(sheet.checks.flatMap(({ kind, id }) => (kind === "measure" ? [id] : [])));
  const cards: readonly (readonly [string, readonly SheetSum[] | undefined])[] = [
    ["/beforeTrip", sheet.beforeTrip],
    ...sheet.checks.map(({ sums }, index) => [`/checks/${index}/sums`, sums] as const),
    ...(sheet.tasks ?? []).map(({ sums }, index) => [`/tasks/${index}/sums`, sums] as const),
    ...sheet.restore.map(({ sums }, index) => [`/restore/${index}/sums`, sums] as const),
  ];
  return cards.flatMap(([path, sums = []]) =>
    sums.flatMap((each, index) => problemsOf(each, measured, `${path}/${index}`)),
  );
}

function problemsOf(
  { sum, start = {}, known = {} }: SheetSum,
  measured: ReadonlySet<string>,
  at: string,
): Problem[] {
  const calculator = calculatorNamed(sum);
  if (calculator === undefined)
    return [{ path: `${at}/sum`, message: `The bench book has no sum "${sum}". Take one of its own names.` }];
  const field = (name: string) => calculator.inputs.find((each) => each.name === name);
  const noField = (name: string) =>
    `${calculator.title} has no field "${name}": ${calculator.inputs.map((each) => each.name).join(", ")}.`;
  return [
    ...Object.entries(start).flatMap(([name, text]): Problem[] => {
      const path = `${at}/start/${name}`;
      const input = field(name);
      if (input === undefined) return [{ path, message: noField(name) }];
      const read = readTyped(input, text);
      return read.ok ? [] : [{ path, message: read.error }];
    }),
    ...Object.entries(known).flatMap(([name, check]): Problem[] => {
      const path = `${at}/known/${name}`;
      if (field(name) === undefined) return [{ path, message: noField(name) }];
      return measured.has(check)
        ? []
        : [{ path, message: `No check "${check}" of this sheet measures anything. Name one that does.` }];
    }),
  ];
}
