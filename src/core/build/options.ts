import { type Sheet, type Valve, verdictsOf, withVerdicts } from "../formats";

/**
 * The sheet of a valve that lacks some of what its model may have: without those parts, and without all that only speaks of
 * them. A valve of which nothing is known is taken to have everything: nothing that may be there is forgotten.
 */
export function asFitted(sheet: Sheet, fitted: Valve["fitted"] = {}): Sheet {
  const gone = new Set(
    sheet.parts.flatMap(({ id, option }) => (option !== undefined && fitted[option] === "no" ? [id] : [])),
  );
  if (Object.values(fitted).every((each) => each !== "no")) return sheet;
  const there = (id: string) => !gone.has(id);
  const left = (ids: readonly string[]) => ids.filter(there);
  const has = ({ part, option, needsOff = [] }: Asked) =>
    (option === undefined || fitted[option] !== "no") &&
    (part === undefined || there(part)) &&
    needsOff.every(there);
  return {
    ...sheet,
    parts: sheet.parts.flatMap((part) =>
      there(part.id)
        ? [
            {
              ...part,
              ways: part.ways.map((way) => ({ ...way, heldBy: left(way.heldBy), ...spared(way, left) })),
            },
          ]
        : [],
    ),
    connections: sheet.connections.filter(has),
    capture: sheet.capture.filter(
      (each) => has(each) && (each.confirmAfter === undefined || there(each.confirmAfter)),
    ),
    checks: sheet.checks.flatMap((check) =>
      has(check) && (check.afterFit === undefined || there(check.afterFit)) ? [judging(check, left)] : [],
    ),
    ...(sheet.tasks !== undefined && { tasks: sheet.tasks.filter(has) }),
    singles: left(sheet.singles),
    intervals: sheet.intervals.map((interval) => ({
      ...interval,
      ...(interval.renews !== undefined && { renews: left(interval.renews) }),
      ...(interval.opens !== undefined && { opens: left(interval.opens) }),
    })),
    ...(sheet.assemblies !== undefined && {
      assemblies: sheet.assemblies.map((each) => ({ ...each, parts: left(each.parts) })),
    }),
    ...(sheet.rebuild !== undefined && { rebuild: left(sheet.rebuild) }),
    ...(sheet.depths !== undefined && {
      depths: sheet.depths.map((depth) => ({
        ...depth,
        reach: left(depth.reach),
        renews: left(depth.renews),
      })),
    }),
    symptoms: sheet.symptoms.map((symptom) => ({
      ...symptom,
      reach: left(symptom.reach),
      ...(symptom.renews !== undefined && { renews: left(symptom.renews) }),
    })),
  };
}

/** What is asked of a part, or only where an option is there. */
interface Asked {
  readonly part?: string;
  readonly option?: string;
  readonly needsOff?: readonly string[];
}

type Left = (ids: readonly string[]) => string[];

const spared = ({ spoils }: { spoils?: readonly string[] }, left: Left) =>
  spoils === undefined ? {} : { spoils: left(spoils) };

/** A check whose answers ask for no part that is not there. */
function judging(check: Sheet["checks"][number], left: Left): Sheet["checks"][number] {
  const asks = verdictsOf(check).some(
    ({ verdict: { reach = [], alsoRenew = [] } }) =>
      left([...reach, ...alsoRenew]).length < reach.length + alsoRenew.length,
  );
  if (!asks) return check;
  return withVerdicts(check, (verdict) => ({
    ...verdict,
    ...(verdict.reach !== undefined && { reach: left(verdict.reach) }),
    ...(verdict.alsoRenew !== undefined && { alsoRenew: left(verdict.alsoRenew) }),
  }));
}
