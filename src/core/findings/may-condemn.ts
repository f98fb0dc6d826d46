import { type Check, type Sheet, verdictsOf } from "../formats";

/** Parts that one of its answers has renewed. */
const condemnedBy = (check: Check): readonly string[] =>
  verdictsOf(check).flatMap(({ verdict }) => [
    ...(verdict.alsoRenew ?? []),
    ...(verdict.means === "renew" && check.part !== undefined ? [check.part] : []),
  ]);

/**
 * Parts that come off and that a look can condemn, each with its pieces, without those that are renewed anyway.
 *
 * @param removed parts that come off
 */
export function mayCondemn(
  { checks, parts }: Sheet,
  removed: readonly string[],
  certain: ReadonlySet<string>,
): (readonly [part: string, pieces: number])[] {
  const condemned = new Set(checks.flatMap(condemnedBy));
  return removed
    .filter((id) => condemned.has(id) && !certain.has(id))
    .map((id) => [id, parts.find((part) => part.id === id)?.quantity ?? 1]);
}
