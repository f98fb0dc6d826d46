import { type Needs, type Sheet, withVerdicts } from "../formats";

/** What becomes of the id of a part: another one, several, or none. */
export interface PartIds {
  /** Where the part itself is meant. */
  readonly named: (id: string) => readonly string[];
  /** Where it is said what has to be off before something else. */
  readonly before: (id: string) => readonly string[];
}

/** A sheet with other ids of parts, everywhere one is named. Where one part alone can be named, the first counts; without any the field goes. */
export function withPartIds(sheet: Sheet, { named, before }: PartIds): Sheet {
  const all = (of: PartIds["named"], ids: readonly string[]) => [...new Set(ids.flatMap(of))];
  const list = <Name extends string>(name: Name, ids: readonly string[] | undefined, of = named) =>
    (ids === undefined ? {} : { [name]: all(of, ids) }) as { [Key in Name]?: string[] };
  const one = <Name extends string>(name: Name, id: string | undefined) => {
    const to = id === undefined ? undefined : named(id)[0];
    return { [name]: to } as { [Key in Name]?: string };
  };
  const needing = <C extends { needs?: Needs }>(card: C): C =>
    card.needs === undefined
      ? card
      : {
          ...card,
          needs: {
            ...card.needs,
            ...list("off", card.needs.off, before),
            ...list("fitted", card.needs.fitted),
            ...list("loose", card.needs.loose),
          },
        };
  const changed: Sheet = {
    ...sheet,
    parts: sheet.parts.map((part) => ({
      ...part,
      id: named(part.id)[0] ?? part.id,
      ways: part.ways.map((way) => ({
        ...way,
        heldBy: all(before, way.heldBy),
        ...list("spoils", way.spoils),
      })),
      ...(part.fit !== undefined && { fit: { ...part.fit, ...one("looseUntil", part.fit.looseUntil) } }),
    })),
    checks: sheet.checks.map((check) => {
      const asked = withVerdicts(
        {
          ...needing(check),
          ...one("part", check.part),
          ...list("needsOff", check.needsOff, before),
          ...one("afterFit", check.afterFit),
        } as typeof check,
        (verdict) => ({
          ...verdict,
          ...list("alsoRenew", verdict.alsoRenew),
          ...list("reach", verdict.reach),
        }),
      );
      return asked;
    }),
    kits: sheet.kits.map((kit) => ({
      ...kit,
      contents: kit.contents.flatMap((item) => named(item.part).map((part) => ({ ...item, part }))),
    })),
    singles: all(named, sheet.singles),
    intervals: sheet.intervals.map((interval) => ({
      ...interval,
      ...list("renews", interval.renews),
      ...list("opens", interval.opens),
    })),
    symptoms: sheet.symptoms.map((symptom) => ({
      ...symptom,
      reach: all(named, symptom.reach),
      ...list("renews", symptom.renews),
    })),
    connections: sheet.connections.map((end) => ({ ...end, ...one("part", end.part) })),
    capture: sheet.capture.map((each) => ({
      ...each,
      ...one("confirmAfter", each.confirmAfter),
      ...list("needsOff", each.needsOff, before),
    })),
    restore: sheet.restore.map(needing),
    ...list("rebuild", sheet.rebuild),
    ...(sheet.depths !== undefined && {
      depths: sheet.depths.map((depth) => ({
        ...depth,
        reach: all(named, depth.reach),
        renews: all(named, depth.renews),
      })),
    }),
    ...(sheet.rechecks !== undefined && {
      rechecks: sheet.rechecks.map((each) => ({ ...each, ...list("afterFit", each.afterFit) })),
    }),
    ...(sheet.assemblies !== undefined && {
      assemblies: sheet.assemblies.map((each) => ({ ...each, parts: all(named, each.parts) })),
    }),
    ...(sheet.position !== undefined && {
      position: {
        ...sheet.position,
        movedBy: named(sheet.position.movedBy)[0] ?? sheet.position.movedBy,
        ...list("under", sheet.position.under),
      },
    }),
    ...(sheet.tasks !== undefined && {
      tasks: sheet.tasks.map((task) => ({
        ...needing(task),
        ...one("part", task.part),
        ...list("needsOff", task.needsOff, before),
      })),
    }),
  };
  // A field that names nothing is no field.
  return withoutUndefined(changed) as Sheet;
}

function withoutUndefined(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(withoutUndefined);
  if (typeof value !== "object" || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).flatMap(([name, each]) =>
      each === undefined ? [] : [[name, withoutUndefined(each)]],
    ),
  );
}

/** A part by another id, everywhere it is named; an id that is taken is refused by the check, not here. */
export function renamePart(sheet: Sheet, from: string, to: string): Sheet {
  const swap = (id: string) => [id === from ? to : id];
  return withPartIds(sheet, { named: swap, before: swap });
}
