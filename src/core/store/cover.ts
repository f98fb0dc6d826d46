import type { IntegerAnswer, IntegerProgram, IntegerSolver, Row, Variable } from "./integer-program";

/** Pieces by part. */
export type Pieces = ReadonlyMap<string, number>;

/** Something that can be had, from one place. */
export interface Offer {
  /** What it is: from another place it is the same item. */
  readonly item: string;
  /** Of one, in whole hundredths of the currency. */
  readonly price: number;
  /** How many can be had. */
  readonly atMost: number;
  readonly contents: Pieces;
}

/** How many of each offer to take. */
export interface Cover<Of extends Offer = Offer> {
  readonly taken: readonly { readonly offer: Of; readonly count: number }[];
  readonly price: number;
  /** Proven to be the cheapest, and of equally cheap ones the one with fewest pieces. */
  readonly exact: boolean;
}

/** Beyond this sum the price alone is weighed: a solver's figures are not finer than that. */
const FINEST_COST = 1e10;

/** Pieces that no offer has, by part: empty when everything can be had. */
export function lacking(needs: Pieces, offers: readonly Offer[]): Map<string, number> {
  const lacks = new Map<string, number>();
  for (const [part, pieces] of needs) {
    const had = offers.reduce((sum, { contents, atMost }) => sum + (contents.get(part) ?? 0) * atMost, 0);
    if (had < pieces) lacks.set(part, pieces - had);
  }
  return lacks;
}

/**
 * The cheapest way to have all that is needed, of equally cheap ones the one with fewest pieces; none when something
 * cannot be had. The order in which offers are listed does not change the price.
 *
 * @param solve any integer solver; what it answers is checked, and nothing unneeded stays in
 */
export function cheapestCover<Of extends Offer>(
  needs: Pieces,
  offers: readonly Of[],
  solve: IntegerSolver,
): Cover<Of> | undefined {
  const wanted = wantedOf(needs);
  if (lacking(wanted, offers).size > 0) return undefined;
  const useful = withoutDominated(usefulOffers(wanted, offers), () => true);
  return cover(wanted, useful, [], [], solve) ?? everythingTrimmed(wanted, useful);
}

/**
 * The cheapest cover that takes fewer of something the best one takes: what to do when that is not wanted or not there.
 * None when there is no other way.
 */
export function secondCover<Of extends Offer>(
  needs: Pieces,
  offers: readonly Of[],
  best: Cover<Of>,
  solve: IntegerSolver,
): Cover<Of> | undefined {
  const wanted = wantedOf(needs);
  const useful = withoutDominated(usefulOffers(wanted, offers), (a, b) => a.offer.item === b.offer.item);
  const items = [...new Set(best.taken.map(({ offer }) => offer.item))];
  const fewer: Variable = { cost: 0, most: 1, limited: true };
  const rows = items.map((item, index): Row => {
    const of = useful.flatMap((each, at) => (each.offer.item === item ? [at] : []));
    const all = of.reduce((sum, at) => sum + useful[at]!.most, 0);
    const count = best.taken.reduce((sum, each) => sum + (each.offer.item === item ? each.count : 0), 0);
    return {
      terms: [...of.map((at) => [at, 1] as const), [useful.length + index, all - (count - 1)] as const],
      bound: "at-most",
      value: all,
    };
  });
  const oneFewer: Row = {
    terms: items.map((_, index) => [useful.length + index, 1] as const),
    bound: "at-least",
    value: 1,
  };
  return cover(
    wanted,
    useful,
    items.map(() => fewer),
    [...rows, oneFewer],
    solve,
  );
}

interface Useful<Of extends Offer> {
  readonly offer: Of;
  /** What of it counts: no more of a part than is needed. */
  readonly counts: Pieces;
  readonly most: number;
  /** Whether the place runs out before enough is taken. */
  readonly limited: boolean;
}

const wantedOf = (needs: Pieces): Pieces => new Map([...needs].filter(([, pieces]) => pieces > 0));

function usefulOffers<Of extends Offer>(needs: Pieces, offers: readonly Of[]): Useful<Of>[] {
  return offers.flatMap((offer): Useful<Of>[] => {
    const counts = new Map<string, number>();
    let enough = 0;
    for (const [part, pieces] of offer.contents) {
      const need = needs.get(part) ?? 0;
      if (need === 0 || pieces === 0) continue;
      counts.set(part, Math.min(pieces, need));
      enough = Math.max(enough, Math.ceil(need / pieces));
    }
    const most = Math.min(offer.atMost, enough);
    return most === 0 ? [] : [{ offer, counts, most, limited: offer.atMost < enough }];
  });
}

/** Leaves out what another offer replaces: as much or more of everything, no dearer, and enough of it there. */
function withoutDominated<Of extends Offer>(
  useful: readonly Useful<Of>[],
  mayReplace: (a: Useful<Of>, b: Useful<Of>) => boolean,
): Useful<Of>[] {
  const covers = (a: Pieces, b: Pieces) => [...b].every(([part, pieces]) => (a.get(part) ?? 0) >= pieces);
  const replaces = (a: Useful<Of>, b: Useful<Of>) =>
    !a.limited && a.offer.price <= b.offer.price && mayReplace(a, b) && covers(a.counts, b.counts);
  return useful.filter(
    (each, at) =>
      !useful.some((other, index) => {
        if (index === at || !replaces(other, each)) return false;
        // Of two that replace each other the first stays.
        return index < at || !replaces(each, other);
      }),
  );
}

function cover<Of extends Offer>(
  needs: Pieces,
  useful: readonly Useful<Of>[],
  further: readonly Variable[],
  furtherRows: readonly Row[],
  solve: IntegerSolver,
): Cover<Of> | undefined {
  const answer = solveChecked(
    {
      variables: [...weighed(needs, useful), ...further],
      rows: [
        ...[...needs].map(
          ([part, value]): Row => ({
            terms: useful.flatMap(({ counts }, at) => {
              const pieces = counts.get(part);
              return pieces === undefined ? [] : [[at, pieces] as const];
            }),
            bound: "at-least",
            value,
          }),
        ),
        ...furtherRows,
      ],
    },
    solve,
  );
  return answer && coverOf(needs, useful, answer.values, answer.proven);
}

/** Price first; one piece less decides between equal prices, where the solver's figures are fine enough for both. */
function weighed<Of extends Offer>(needs: Pieces, useful: readonly Useful<Of>[]): Variable[] {
  const pieces = [...needs.values()].reduce((sum, each) => sum + each, 1);
  const dearest = useful.reduce((most, { offer }) => Math.max(most, offer.price), 0);
  const scale = dearest * pieces < FINEST_COST ? pieces : 1;
  return useful.map(({ offer, most, limited }) => ({
    cost: offer.price * scale + (scale === 1 ? 0 : 1),
    most,
    limited,
  }));
}

/** What a solver answers in floating point is held against the rows in whole numbers. */
function solveChecked(program: IntegerProgram, solve: IntegerSolver): IntegerAnswer | undefined {
  const answer = solve(program);
  if (answer === undefined) return undefined;
  const holds = program.rows.every(({ terms, bound, value }) => {
    const sum = terms.reduce((total, [at, coefficient]) => total + coefficient * answer.values[at]!, 0);
    return bound === "at-least" ? sum >= value : sum <= value;
  });
  const within = program.variables.every(
    ({ most }, at) => answer.values[at]! >= 0 && answer.values[at]! <= most,
  );
  return holds && within ? answer : undefined;
}

/** All there is, less what is not needed: a cover, but none that anybody calls the cheapest. */
function everythingTrimmed<Of extends Offer>(needs: Pieces, useful: readonly Useful<Of>[]): Cover<Of> {
  return coverOf(
    needs,
    useful,
    useful.map(({ most }) => most),
    false,
  );
}

/** Takes out again, the dearest first, what the rest covers without it. */
function coverOf<Of extends Offer>(
  needs: Pieces,
  useful: readonly Useful<Of>[],
  values: readonly number[],
  exact: boolean,
): Cover<Of> {
  const left = new Map([...needs].map(([part, pieces]) => [part, -pieces]));
  const counts = useful.map((_, at) => values[at]!);
  useful.forEach(({ counts: contents }, at) => {
    for (const [part, pieces] of contents) left.set(part, left.get(part)! + pieces * counts[at]!);
  });
  const dearestFirst = useful
    .map((_, at) => at)
    .sort((a, b) => useful[b]!.offer.price - useful[a]!.offer.price);
  for (const at of dearestFirst) {
    const contents = [...useful[at]!.counts];
    const spare = Math.min(
      counts[at]!,
      ...contents.map(([part, pieces]) => Math.floor(left.get(part)! / pieces)),
    );
    counts[at]! -= spare;
    for (const [part, pieces] of contents) left.set(part, left.get(part)! - pieces * spare);
  }
  const taken = useful.flatMap(({ offer }, at) => (counts[at] === 0 ? [] : [{ offer, count: counts[at]! }]));
  return { taken, price: taken.reduce((sum, { offer, count }) => sum + offer.price * count, 0), exact };
}
