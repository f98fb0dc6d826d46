import type { Tool } from "../formats";
import type { Step, timesOf } from "../job";

/** Who is told of what goes out, where the line says so. */
export interface TellBefore {
  /** What is out. */
  readonly name: string;
  readonly who: string;
  readonly phone?: string;
  /** Days before. */
  readonly days?: number;
}

/** What a compiled job asks to bring along, and whom to tell. */
export interface Bring {
  readonly kits: readonly { readonly name: string; readonly pieces: number; readonly place: string }[];
  /** What no place has. */
  readonly missing: readonly string[];
  readonly supplies: readonly string[];
  readonly tools: readonly Tool[];
  readonly gear: readonly string[];
  /** Locks with their tags. */
  readonly locks: number;
  readonly tell: readonly TellBefore[];
}

export function bringOf(
  steps: readonly Step[],
  isolation: Parameters<typeof timesOf>[0]["isolation"],
): Bring {
  const of = <K extends Step["kind"]>(kind: K) =>
    steps.flatMap((step) => (step.kind === kind ? [step as Extract<Step, { kind: K }>] : []));
  const kits = of("kit");
  const closures = isolation?.ok === true ? isolation.value.closures : [];
  return {
    kits: kits.flatMap(({ picks }) => picks.map(({ name, pieces, place }) => ({ name, pieces, place }))),
    missing: kits.flatMap(({ missing }) => missing.map(({ name }) => name)),
    supplies: kits.flatMap(({ supplies }) => [...supplies]),
    tools: of("tools").flatMap(({ bring }) => [...bring]),
    gear: of("protect").flatMap(({ gear }) => [...gear]),
    locks: closures.filter(({ lockable }) => lockable).length,
    tell: of("notify").flatMap(({ told = [] }) => [...told]),
  };
}
