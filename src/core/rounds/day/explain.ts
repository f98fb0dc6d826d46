import { type DayProblem, type Unfit, unfit } from "./problem";
import { cheapestIn, type Insertion, type Prepared, type Standing, withoutTasks } from "./standing";

/** Why a shift does not have a task. */
export type WhyNot =
  | Unfit
  /** There is room, but it costs more than leaving it. */
  | { readonly kind: "not-worth-it"; readonly adds: number; readonly leftOut: number }
  /** There would be room if these were not out then. */
  | { readonly kind: "out-together"; readonly tasks: readonly number[] }
  /** The shift would have to end so much later. */
  | { readonly kind: "no-room"; readonly shortMin: number }
  /** Its windows or waits fit between nothing else that the shift does. */
  | { readonly kind: "no-fit" };

/** How much longer a shift is tried before it is told to have no fit. */
const MUCH_LONGER_MIN = 480;

/** Why a task that is free is not in this shift. */
export function whyNot(ready: Prepared, standing: Standing, task: number, shift: number): WhyNot {
  const { problem } = ready;
  const never = unfit(problem, problem.tasks[task]!, problem.shifts[shift]!, shift);
  if (never !== undefined) return never;
  const fits = cheapestIn(ready, standing, shift, task);
  if (fits !== undefined)
    return { kind: "not-worth-it", adds: fits.adds, leftOut: problem.tasks[task]!.leftOut };
  const alone = { ...ready, apart: ready.apart.map(() => []) };
  if (cheapestIn(alone, standing, shift, task) !== undefined) {
    const others = new Set(ready.apart[task]);
    const tasks = standing.orders.flatMap((order) =>
      order.flatMap((visit) => (visit.stretch === 0 && others.has(visit.task) ? [visit.task] : [])),
    );
    return { kind: "out-together", tasks };
  }
  const { latest } = problem.shifts[shift]!;
  const longer: Prepared = { ...alone, problem: withLatest(problem, shift, latest + MUCH_LONGER_MIN) };
  const later = cheapestIn(longer, standing, shift, task);
  return later === undefined
    ? { kind: "no-fit" }
    : { kind: "no-room", shortMin: Math.max(0, later.timed.back - latest) };
}

const withLatest = (problem: DayProblem, shift: number, latest: number): DayProblem => ({
  ...problem,
  shifts: problem.shifts.with(shift, { ...problem.shifts[shift]!, latest }),
});

/** What a task would cost elsewhere, beside where it is: the cheapest place in each other shift that has one. */
export function otherwise(
  ready: Prepared,
  standing: Standing,
  task: number,
): { readonly here: number; readonly elsewhere: readonly Insertion[] } | undefined {
  const shift = standing.orders.findIndex((order) => order.some((visit) => visit.task === task));
  const without = withoutTasks(ready, standing, new Set([task]));
  if (shift < 0 || without === undefined) return undefined;
  const placed = (row: number) => cheapestIn(ready, without, row, task);
  const here = placed(shift);
  if (here === undefined) return undefined;
  const elsewhere = ready.fits[task]!.flatMap((row) => {
    const other = row === shift ? undefined : placed(row);
    return other === undefined ? [] : [other];
  });
  return { here: here.adds, elsewhere: elsewhere.sort((a, b) => a.adds - b.adds) };
}
