import type { RoundsQuestion, RoundsTask } from "../formats";
import type { HouseDay } from "./crews-on";
import type { Beside } from "./shut-once";
import { weightsOf } from "./weights";
import { type MayBeDone, windowsOf } from "./windows";
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
  /** When it may be done. */
  readonly mayBeDone: MayBeDone;
  readonly work: DueWork;
}

const DAY_MS = 86_400_000;

/**
 * What rings, as tasks of rounds. What shares its valves is one shut-down; of one line's fire protection only one piece is
 * out at a time, and so of two that may not be out together.
 *
 * @param span from now until the plan ends, ms, with the days between
 */
export function dueTasks(
  ringing: readonly Ringing[],
  { joint, apart, oneByOne }: Beside,
  span: { readonly now: number; readonly until: number; readonly days: readonly HouseDay[] },
): Pick<RoundsQuestion, "tasks"> & { readonly shutdowns: NonNullable<RoundsQuestion["shutdowns"]> } {
  const jointOf = new Map(joint.flatMap((each) => each.tags.map((tag) => [tag, each])));
  const keyOf = ({ tag, work }: Ringing) => {
    const shared = jointOf.get(tag);
    return shared === undefined && work.shuts.length === 0
      ? undefined
      : `shut off for ${shared?.tags[0] ?? tag}`;
  };
  const tasks = ringing.map((each): RoundsTask => {
    const { tag, due, reported, line, spot, mayBeDone, work } = each;
    const key = keyOf(each);
    const out = [
      ...(line !== undefined && work.shut !== undefined && oneByOne.includes(line)
        ? [`anything on ${line}`]
        : []),
      ...(work.impairs.length > 0 ? [`fire protection on ${line}`] : []),
      ...apart.flatMap(({ tags }) => (tags.includes(tag) ? [tags.join(" or ")] : [])),
    ];
    return {
      id: tag,
      place: spot,
      stretches: key === undefined ? withShutting(work) : work.stretches.map((stretch) => ({ ...stretch })),
      windows: windowsOf(mayBeDone, span.days, span),
      due: new Date(due).toISOString(),
      ...weightsOf(work.harmed, reported, work.lost.length > 0, Math.max(0, (span.until - due) / DAY_MS)),
      ...(key !== undefined && { shutdown: key }),
      ...(out.length > 0 && { out }),
      ...(work.needs.length > 0 && { needs: [...work.needs] }),
      people: work.people,
    };
  });
  return {
    tasks,
    shutdowns: ringing.flatMap((each) => {
      const id = keyOf(each);
      const shared = jointOf.get(each.tag);
      if (id === undefined || (shared !== undefined && shared.tags[0] !== each.tag)) return [];
      const { shut_min, restore_min } = shared ?? each.work;
      return [{ id, shut_min, restore_min }];
    }),
  };
}

/** What shares its shut-down with nobody shuts and restores within its own work. */
const withShutting = ({ stretches, shut_min, restore_min }: DueWork): RoundsTask["stretches"] =>
  stretches.map((stretch, at) => ({
    ...stretch,
    work_min: stretch.work_min + (at === 0 ? shut_min : 0) + (at === stretches.length - 1 ? restore_min : 0),
  }));
