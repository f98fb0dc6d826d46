import type { RoundsQuestion, RoundsTask } from "../formats";
import { weightsOf } from "./weights";
import type { DueWork } from "./work-of";

/** A valve that rings, with the work that it asks for. */
export interface Ringing {
  readonly tag: string;
  /** ms since the epoch, the end of its day; what is reported is due today at the latest. */
  readonly due: number;
  readonly reported: boolean;
  readonly line: string | undefined;
  /** Key of where it stands. */
  readonly spot: string;
  /** Who is told before has to know it so many days before. */
  readonly noticeDays: number;
  readonly work: DueWork;
}

const DAY_MS = 86_400_000;
/** As long as the formats take a name. */
const LONGEST_KEY = 100;

/**
 * What rings, as tasks of rounds. What is shut by the very same valves is one shut-down; of one line's fire protection
 * only one piece is out at a time.
 *
 * @param now ms · @param until when the plan ends, ms
 */
export function dueTasks(
  ringing: readonly Ringing[],
  now: number,
  until: number,
): Pick<RoundsQuestion, "tasks"> & { readonly shutdowns: NonNullable<RoundsQuestion["shutdowns"]> } {
  const keyOf = ({ line, work }: Ringing) => {
    const key = `${line}: ${work.shuts.join(" ")}`;
    return line === undefined || work.shuts.length === 0 || key.length > LONGEST_KEY ? undefined : key;
  };
  const groups = new Map<string, Ringing[]>();
  for (const each of ringing) {
    const key = keyOf(each);
    if (key !== undefined) groups.set(key, [...(groups.get(key) ?? []), each]);
  }
  const tasks = ringing.map((each): RoundsTask => {
    const { tag, due, reported, line, spot, noticeDays, work } = each;
    const key = keyOf(each);
    const told = now + noticeDays * DAY_MS;
    return {
      id: tag,
      place: spot,
      stretches: key === undefined ? withShutting(work) : work.stretches.map((stretch) => ({ ...stretch })),
      windows: [
        {
          from: new Date(told).toISOString(),
          to: new Date(Math.max(until, told + DAY_MS)).toISOString(),
        },
      ],
      due: new Date(due).toISOString(),
      ...weightsOf(work.harmed, reported, work.lost.length > 0, Math.max(0, (until - due) / DAY_MS)),
      ...(key !== undefined && { shutdown: key }),
      ...(work.impairs.length > 0 && { out: [`fire protection on ${line}`] }),
      ...(work.needs.length > 0 && { needs: [...work.needs] }),
      people: work.people,
    };
  });
  return {
    tasks,
    shutdowns: [...groups].map(([id, members]) => ({
      id,
      shut_min: Math.max(...members.map(({ work }) => work.shut_min)),
      restore_min: Math.max(...members.map(({ work }) => work.restore_min)),
    })),
  };
}

/** What shares its shut-down with nobody shuts and restores within its own work. */
const withShutting = ({ stretches, shut_min, restore_min }: DueWork): RoundsTask["stretches"] =>
  stretches.map((stretch, at) => ({
    ...stretch,
    work_min: stretch.work_min + (at === 0 ? shut_min : 0) + (at === stretches.length - 1 ? restore_min : 0),
  }));

/** Valves that are shut together, by shut-down; only where there are several. */
export const shutTogether = (tasks: readonly RoundsTask[]): ReadonlyMap<string, readonly string[]> => {
  const groups = new Map<string, string[]>();
  for (const { id, shutdown } of tasks)
    if (shutdown !== undefined) groups.set(shutdown, [...(groups.get(shutdown) ?? []), id]);
  return new Map([...groups].filter(([, tags]) => tags.length > 1));
};
