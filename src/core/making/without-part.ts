import { checkSheet } from "../build";
import { type Sheet, withVerdicts } from "../formats";
import { withPartIds } from "./part-ids";

/**
 * A sheet whose valve lacks a part: whatever was said of it goes with it, and what it was held by holds now what it held.
 * Whether that leaves a sound sheet, its check says.
 */
export function withoutPart(sheet: Sheet, gone: string): Sheet {
  const part = sheet.parts.find(({ id }) => id === gone);
  if (part === undefined) return sheet;
  const holders = part.ways[0]?.heldBy ?? [];
  const left: Sheet = {
    ...sheet,
    parts: sheet.parts.filter(({ id }) => id !== gone),
    checks: sheet.checks.filter((check) => check.part !== gone && check.afterFit !== gone),
    connections: sheet.connections.filter((end) => end.part !== gone),
    ...(sheet.tasks !== undefined && { tasks: sheet.tasks.filter((task) => task.part !== gone) }),
  };
  const named = withPartIds(left, {
    named: (id) => (id === gone ? [] : [id]),
    before: (id) => (id === gone ? holders : [id]),
  });
  return settle(withoutEmpty(named, sheet));
}

/** Lists that the part alone was in say nothing any more. */
function withoutEmpty(sheet: Sheet, before: Sheet): Sheet {
  const emptied = (now: readonly string[] | undefined, then: readonly string[] | undefined) =>
    now?.length === 0 && (then?.length ?? 0) > 0;
  const of = <T extends { id: string }>(list: readonly T[], id: string) =>
    list.find((each) => each.id === id);
  const { rebuild, ...rest } = sheet;
  return {
    ...rest,
    ...(rebuild !== undefined && rebuild.length > 1 && { rebuild }),
    kits: sheet.kits.filter(({ contents }) => contents.length > 0),
    intervals: sheet.intervals.filter((each) => {
      const then = of(before.intervals, each.id);
      return !emptied(each.renews, then?.renews) && !emptied(each.opens, then?.opens);
    }),
    symptoms: sheet.symptoms.filter((each) => !emptied(each.reach, of(before.symptoms, each.id)?.reach)),
    ...(sheet.depths !== undefined && { depths: sheet.depths.filter(({ reach }) => reach.length > 0) }),
    ...(sheet.assemblies !== undefined && {
      assemblies: sheet.assemblies.filter(({ parts }) => parts.length > 1),
    }),
    ...(sheet.rechecks !== undefined && {
      rechecks: sheet.rechecks.filter((each) => each.afterFit?.length !== 0),
    }),
    checks: sheet.checks.map(lean),
    ...(sheet.tasks !== undefined && { tasks: sheet.tasks.map(lean) }),
    capture: sheet.capture.map(lean),
    restore: sheet.restore.map(lean),
  };
}

/** What waits for nothing any more does not wait. */
function lean<C extends { needsOff?: string[]; needs?: object }>(card: C): C {
  const { needsOff, needs, ...rest } = card;
  const left = Object.entries(needs ?? {}).filter(([, list]) => (list as readonly string[]).length > 0);
  return {
    ...rest,
    ...(needsOff !== undefined && needsOff.length > 0 && { needsOff }),
    ...(left.length > 0 && { needs: Object.fromEntries(left) }),
  } as C;
}

/** Takes away what follows up something that is not asked any more, until nothing does. */
export function settle(sheet: Sheet): Sheet {
  const checks = new Set(sheet.checks.map(({ id }) => id));
  const tasks = new Set(sheet.tasks?.map(({ id }) => id));
  const intervals = new Set([...sheet.intervals, ...(sheet.rechecks ?? [])].map(({ id }) => id));
  const symptoms = new Set(sheet.symptoms.map(({ id }) => id));
  const follows = <C extends { onlyAfter?: { check: string; answers: string[] }[] }>(card: C): C[] => {
    if (card.onlyAfter === undefined) return [card];
    const onlyAfter = card.onlyAfter.filter(({ check }) => checks.has(check));
    return onlyAfter.length === 0 ? [] : [{ ...card, onlyAfter }];
  };
  const next: Sheet = {
    ...sheet,
    checks: sheet.checks.flatMap(follows).map((check) => {
      const { beforeTask, ...rest } = check;
      const asked = { ...rest, ...(beforeTask !== undefined && tasks.has(beforeTask) && { beforeTask }) };
      return withVerdicts(
        asked as typeof check,
        ({ makesDue, shortens, ...verdict }) =>
          ({
            ...verdict,
            ...(makesDue !== undefined && intervals.has(makesDue) && { makesDue }),
            ...(shortens !== undefined && intervals.has(shortens.interval) && { shortens }),
          }) as never,
      );
    }),
    ...(sheet.tasks !== undefined && {
      tasks: sheet.tasks.flatMap(follows).map((task) => counted(task, tasks)),
    }),
    intervals: sheet.intervals.flatMap(({ does, atOnceAfter, ...interval }) => {
      const left = {
        does: does?.filter((id) => tasks.has(id)),
        after: atOnceAfter?.filter((id) => symptoms.has(id)),
      };
      if (left.does?.length === 0 && (does?.length ?? 0) > 0) return [];
      return [
        {
          ...interval,
          ...(left.does !== undefined && { does: left.does }),
          ...(left.after !== undefined && left.after.length > 0 && { atOnceAfter: left.after }),
        },
      ];
    }),
    symptoms: sheet.symptoms.flatMap(({ looks, interval, ...symptom }) => {
      const left = looks?.filter((id) => checks.has(id));
      if (left?.length === 0 && symptom.reach.length === 0) return [];
      return [
        {
          ...symptom,
          ...(left !== undefined && left.length > 0 && { looks: left }),
          ...(interval !== undefined && intervals.has(interval) && { interval }),
        },
      ];
    }),
    ...(sheet.depths !== undefined && {
      depths: sheet.depths.flatMap((depth) => {
        const left = depth.symptoms?.filter((id) => symptoms.has(id));
        if (left === undefined) return [depth];
        return left.length === 0 ? [] : [{ ...depth, symptoms: left }];
      }),
    }),
  };
  return sizes(next) === sizes(sheet) ? next : settle(next);
}

function counted<T extends NonNullable<Sheet["tasks"]>[number]>(task: T, tasks: ReadonlySet<string>): T {
  const { count } = task;
  if (count?.asMany === undefined || tasks.has(count.asMany)) return task;
  const { asMany: _, ...rest } = count;
  return { ...task, count: rest };
}

const sizes = ({ checks, tasks, intervals, symptoms, depths }: Sheet): string =>
  [checks, tasks, intervals, symptoms, depths].map((list) => list?.length ?? 0).join();

/**
 * Parts that a valve of this build may lack: without any one of them the sheet is sound all the same. What holds pressure
 * or a spring in is not among them: a valve that is otherwise there is another build.
 */
export const mayLack = (sheet: Sheet): string[] =>
  sheet.parts
    .filter(({ stays, role, loaded }) => stays !== true && role === undefined && loaded === undefined)
    .map(({ id }) => id)
    .filter((id) => isSound(withoutPart(sheet, id)));

const isSound = (sheet: Sheet): boolean =>
  sheet.intervals.length > 0 && sheet.symptoms.length > 0 && checkSheet(sheet).length === 0;
