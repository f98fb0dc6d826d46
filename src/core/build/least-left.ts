import type { Way } from "../formats";

/** A way out as the search sees it. */
export interface Option {
  readonly way: Way;
  /** Bits of the parts that hold it. */
  readonly held: bigint;
  /** Tools taken up together, as one name; empty when none is. */
  readonly tool: string;
}

export interface ChangeCosts {
  readonly toolChange_min: number;
  readonly bodyTurn_min: number;
}

interface Wanted {
  readonly bit: bigint;
  readonly minutes: number;
  /** Parts that hold it whatever way is chosen. */
  readonly after: bigint;
  readonly tool: string;
  readonly up: string;
}

/** The changes no order can avoid along one chain of parts, and what the chain wants, one bit each. */
interface Chain {
  readonly changes: number;
  readonly kinds: number;
}

/**
 * The least that is still to be spent, min, never overstated: the quickest way of every part that must come off, and
 * the tool changes and turns no order can avoid. Along a chain of parts in which each holds the next, there are at
 * least as many as change hands; and every tool (face) that is wanted but not on that chain has to be taken up once.
 */
export function leastLeft(
  must: ReadonlySet<string>,
  ways: ReadonlyMap<string, readonly Option[]>,
  bit: ReadonlyMap<string, bigint>,
  { toolChange_min, bodyTurn_min }: ChangeCosts,
): (state: { readonly off: bigint; readonly tool: string; readonly up: string }) => number {
  const parts = [...must].map((id): Wanted => {
    const options = ways.get(id)!;
    const same = (read: (option: Option) => string) => {
      const first = read(options[0]!);
      return options.every((option) => read(option) === first) ? first : "";
    };
    return {
      bit: bit.get(id)!,
      minutes: Math.min(...options.map((option) => option.way.minutes)),
      tool: same((option) => option.tool),
      up: same((option) => option.way.bodyUp ?? ""),
      after: options.reduce((common, option) => common & option.held, -1n),
    };
  });
  const toolChanges = changesLeft(parts, (part) => part.tool);
  const bodyTurns = changesLeft(parts, (part) => part.up);
  return ({ off, tool, up }) => {
    const left = parts.map((part) => (off & part.bit) === 0n);
    let minutes = 0;
    for (const [index, part] of parts.entries()) if (left[index]) minutes += part.minutes;
    // The first face up costs nothing.
    const turns = Math.max(0, bodyTurns(left, up) - (up === "" ? 1 : 0));
    return minutes + toolChange_min * toolChanges(left, tool) + bodyTurn_min * turns;
  };
}

/** Counts the changes of one kind (tools, faces) that are left at least, for the parts still on. */
function changesLeft(
  parts: readonly Wanted[],
  wants: (part: Wanted) => string,
): (left: readonly boolean[], now: string) => number {
  // One bit each: what is beyond the thirtieth is not counted, which only makes the bound lower.
  const names = [...new Set(parts.map(wants).filter((name) => name !== ""))].slice(0, 30);
  const kind = parts.map((part) => names.indexOf(wants(part)));
  const chains = longestChains(parts, kind);
  return (left, now) => {
    const inHand = names.indexOf(now);
    let wanted = 0;
    for (const [index, each] of kind.entries())
      if (left[index] && each >= 0 && each !== inHand) wanted |= 1 << each;
    let most = bits(wanted);
    for (const [index, each] of kind.entries()) {
      if (!left[index] || each < 0) continue;
      const { changes, kinds } = chains[index]!;
      const apart = bits(wanted & ~(kinds | (1 << each)));
      most = Math.max(most, changes + (each === inHand ? 0 : 1) + apart);
    }
    return most;
  };
}

/** For each part, the chain below it (parts it holds, directly or not) along which what is wanted changes most often. */
function longestChains(parts: readonly Wanted[], kind: readonly number[]): Chain[] {
  const holds = parts.map((part) => parts.flatMap((other, index) => (other.after & part.bit ? [index] : [])));
  const known = new Map<number, Chain>();
  const below = (index: number, seen: Set<number>): Set<number> => {
    for (const next of holds[index]!) if (!seen.has(next)) below(next, seen.add(next));
    return seen;
  };
  const chain = (index: number): Chain => {
    const ready = known.get(index);
    if (ready !== undefined) return ready;
    let best: Chain = { changes: 0, kinds: kind[index]! < 0 ? 0 : 1 << kind[index]! };
    for (const other of below(index, new Set())) {
      if (kind[other]! < 0) continue;
      const after = chain(other);
      const changes = after.changes + (kind[other] === kind[index] || kind[index]! < 0 ? 0 : 1);
      if (changes > best.changes) best = { changes, kinds: after.kinds | best.kinds };
    }
    known.set(index, best);
    return best;
  };
  return parts.map((_, index) => chain(index));
}

function bits(mask: number): number {
  let count = 0;
  for (let rest = mask; rest !== 0; rest &= rest - 1) count += 1;
  return count;
}
