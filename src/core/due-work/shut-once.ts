import type { Line } from "../formats";
import { type Apart, type ShutAlone, type ShutOnce, shutOnceOn } from "./joint";
import { type DueWork, openMinutes } from "./work-of";

/** Work that is shut off once where one crew does it on one day, and what that saves against each by itself. */
export interface JointWork {
  readonly tags: readonly string[];
  readonly shut_min: number;
  readonly restore_min: number;
  /** Locks that it takes, of each job. */
  readonly locks: number;
  readonly saves: {
    /** Valves that are not turned. */
    readonly valves: number;
    /** Of the crew, min. */
    readonly minutes: number;
    /** Shut in and filled again, L. */
    readonly litres: number;
    /** Of all who go without, together, min. */
    readonly outage_min: number;
  };
}

/** A valve on a line, with its work by itself. */
export interface OnLine {
  readonly tag: string;
  readonly line: string | undefined;
  readonly work: DueWork;
}

/** Of more works on one line than this not each two are looked at: of those only one is out at a time. */
const MOST_ON_A_LINE = 60;

/** What of some works is shut off once, and what is never out at a time. */
export interface Beside {
  readonly joint: readonly JointWork[];
  readonly apart: readonly Apart[];
  /** Lines on which only one piece of work is out at a time, whatever it is. */
  readonly oneByOne: readonly string[];
}

/**
 * What of this is shut off once, and what is never out at a time. A joint shut-down counts where the jobs, compiled for
 * it, shut the very same and a crew is done sooner.
 *
 * @param works the soonest due first
 * @param lineOf as it is built · @param compiled the work of a valve that is shut off with these
 */
export function shutOnce(
  works: readonly OnLine[],
  lineOf: (id: string) => Line | undefined,
  compiled: (tag: string, together: readonly string[]) => DueWork | undefined,
): Beside {
  const byLine = new Map<string, OnLine[]>();
  for (const each of works)
    if (each.line !== undefined && each.work.shut !== undefined)
      byLine.set(each.line, [...(byLine.get(each.line) ?? []), each]);
  const found = [...byLine].map(([id, some]) => {
    const line = lineOf(id);
    const alone = some.map(
      ({ tag, work }): ShutAlone => ({ tag, ...work.shut!, open_min: openMinutes(work) }),
    );
    const { once, apart } =
      line === undefined ? { once: [], apart: [] } : shutOnceOn(line, alone.slice(0, MOST_ON_A_LINE));
    const workOf = new Map(some.map(({ tag, work }) => [tag, work]));
    return {
      joint: once.flatMap((each) => jointWork(each, workOf, compiled) ?? []),
      apart,
      oneByOne: alone.length > MOST_ON_A_LINE ? [id] : [],
    };
  });
  return {
    joint: found.flatMap(({ joint }) => joint),
    apart: found.flatMap(({ apart }) => apart),
    oneByOne: found.flatMap(({ oneByOne }) => oneByOne),
  };
}

function jointWork(
  { tags, plan }: ShutOnce,
  workOf: ReadonlyMap<string, DueWork>,
  compiled: (tag: string, together: readonly string[]) => DueWork | undefined,
): JointWork | undefined {
  const alone = tags.map((tag) => workOf.get(tag)!);
  const joint = tags.flatMap(
    (tag) =>
      compiled(
        tag,
        tags.filter((each) => each !== tag),
      ) ?? [],
  );
  const links = linksOf(plan.closures);
  if (joint.length < tags.length || joint.some(({ shuts }) => shuts.join() !== links)) return undefined;
  const most = (of: (work: DueWork) => number) => Math.max(...joint.map(of));
  const all = (of: (work: DueWork) => number) => alone.reduce((sum, work) => sum + of(work), 0);
  const [shut_min, restore_min] = [most((work) => work.shut_min), most((work) => work.restore_min)];
  const minutes = all((work) => work.shut_min + work.restore_min) - shut_min - restore_min;
  if (minutes <= 0) return undefined;
  const without = (lost: number, min: number) => lost * min;
  return {
    tags,
    shut_min,
    restore_min,
    locks: most(({ bring }) => bring.locks),
    saves: {
      valves: all(({ shuts }) => shuts.length) - plan.closures.length,
      minutes,
      litres: all(({ shut }) => shut!.plan.section.volume_L) - plan.section.volume_L,
      outage_min:
        all((work) => without(work.lost.length, work.shut_min + openMinutes(work) + work.restore_min)) -
        without(plan.lost.length, shut_min + all(openMinutes) + restore_min),
    },
  };
}

const linksOf = (closures: ShutOnce["plan"]["closures"]): string =>
  [...new Set(closures.map(({ link }) => link))].sort().join();
