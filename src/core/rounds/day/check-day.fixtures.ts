import { type Cost, type DayProblem, NO_COST } from "./problem";
import type { Standing } from "./standing";

/** What of a day cannot be, or is not as it says, looked at by plain means: nothing when it is right. */
export function wrongs(problem: DayProblem, { orders, timed, free }: Standing): string[] {
  const { tasks, shifts, minutes } = problem;
  const wrong: string[] = [];
  const say = (fine: boolean, what: string) => {
    if (!fine) wrong.push(what);
  };
  const placed = new Map<number, { shift: number; from: number[]; to: number[] }>();
  for (const [row, order] of orders.entries()) {
    const { starts, ends, back } = timed[row]!;
    const shift = shifts[row]!;
    let [clock, place] = [shift.from, shift.start];
    for (const [at, { task, stretch }] of order.entries()) {
      say(
        starts[at]! >= clock + minutes[place]![tasks[task]!.place]! - 1e-6,
        `${task} before the crew is there`,
      );
      [clock, place] = [ends[at]!, tasks[task]!.place];
      const own = placed.get(task) ?? { shift: row, from: [], to: [] };
      say(own.shift === row && own.from.length === stretch, `${task} out of order`);
      own.from.push(starts[at]!);
      own.to.push(ends[at]!);
      placed.set(task, own);
    }
    if (order.length > 0) {
      say(back >= clock + minutes[place]![shift.base]! - 1e-6, `shift ${row} back before it can be`);
      say(back <= shift.latest + 1e-6, `shift ${row} back too late`);
    }
  }
  for (const [row, task] of tasks.entries()) {
    const own = placed.get(row);
    say(free.includes(row) === (own === undefined), `${row} is lost or twice`);
    if (own === undefined) continue;
    const { skills, people } = shifts[own.shift]!;
    say(own.from.length === task.stretches.length, `${row} is not done to its end`);
    say(task.needs.every((need) => skills.includes(need)) && people >= task.people, `${row} by who may not`);
    const [from, to] = [own.from[0]!, own.to.at(-1)!];
    say(
      task.windows.some((window) => from >= window.from - 1e-6 && to <= window.to + 1e-6),
      `${row} outside its windows`,
    );
    task.stretches.slice(0, -1).forEach(({ wait, waitMost }, at) => {
      const stood = own.from[at + 1]! - own.to[at]!;
      say(stood >= wait - 1e-6 && stood <= waitMost + 1e-6, `${row} stands ${stood}`);
    });
    if (task.kept !== undefined) {
      say(own.shift === task.kept.shift, `${row} moved to another shift`);
      say(task.kept.from === undefined || from === task.kept.from, `${row} moved to another time`);
    }
  }
  const outages = outagesOf(problem, placed);
  for (const [a, first] of outages)
    for (const [b, second] of outages) {
      const shared = tasks[a]!.out.some((each) => tasks[b]!.out.includes(each));
      const same =
        placed.get(a)!.shift === placed.get(b)!.shift &&
        tasks[a]!.shutdown !== undefined &&
        tasks[a]!.shutdown === tasks[b]!.shutdown;
      say(
        !(a < b && shared && !same && first.from < second.to - 1e-6 && second.from < first.to - 1e-6),
        `${a} and ${b} out together`,
      );
    }
  return wrong;
}

type Placed = ReadonlyMap<number, { readonly shift: number; readonly from: number[]; readonly to: number[] }>;

function outagesOf({ tasks }: DayProblem, placed: Placed): Map<number, { from: number; to: number }> {
  return new Map(
    [...placed].map(([row, { shift }]) => {
      const { shutdown } = tasks[row]!;
      const with_ = [...placed].filter(
        ([other, { shift: its }]) =>
          other === row || (shutdown !== undefined && its === shift && tasks[other]!.shutdown === shutdown),
      );
      return [
        row,
        {
          from: Math.min(...with_.map(([, { from }]) => from[0]!)),
          to: Math.max(...with_.map(([, { to }]) => to.at(-1)!)),
        },
      ];
    }),
  );
}

/** What a day costs, added up anew. */
export function addedUp(problem: DayProblem, { orders, timed, free }: Standing): Cost {
  const { tasks, shifts, km, prices } = problem;
  const placed = new Map<number, { shift: number; from: number[]; to: number[] }>();
  let [crew, overtime, far] = [0, 0, 0];
  for (const [row, order] of orders.entries()) {
    const { start, base, from, to } = shifts[row]!;
    const { starts, ends, back } = timed[row]!;
    if (order.length === 0) continue;
    crew += back - from;
    overtime += prices.overtimePerMin * Math.max(0, back - to);
    const places = [start, ...order.map(({ task }) => tasks[task]!.place), base];
    places.slice(1).forEach((place, at) => {
      far += km[places[at]!]![place]!;
    });
    order.forEach(({ task }, at) => {
      const own = placed.get(task) ?? { shift: row, from: [], to: [] };
      placed.set(task, { ...own, from: [...own.from, starts[at]!], to: [...own.to, ends[at]!] });
    });
  }
  const outages = outagesOf(problem, placed);
  const sum = (of: (row: number) => number) => [...placed.keys()].reduce((all, row) => all + of(row), 0);
  return {
    ...NO_COST,
    crew,
    overtime,
    km: prices.perKm * far,
    outage: sum((row) => tasks[row]!.outagePerMin * (outages.get(row)!.to - outages.get(row)!.from)),
    late: sum((row) => tasks[row]!.latePerMin * Math.max(0, placed.get(row)!.to.at(-1)! - tasks[row]!.due)),
    leftOut: free.reduce((all, row) => all + tasks[row]!.leftOut, 0),
  };
}
