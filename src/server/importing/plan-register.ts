import type { Difference, Valve } from "@/core/formats";
import type { StoredReading } from "@/data";
import { readingKey } from "../book/kinds/log";
import type { Services } from "../services";

import { type PlannedFile, type Step, same } from "./planned";
import { type RowOver, rowOver } from "./row-over";

export function planRegister(services: Services, rows: readonly RowOver<Valve>[]): PlannedFile {
  const steps = rows.map((row): Step => {
    const before = services.register.anyValve(row.key);
    const { valve, stays } = withoutWindingBack(services, before, rowOver("register", before, row) as Valve);
    return {
      kind: "valve",
      id: row.key,
      before,
      after: valve,
      stays,
    };
  });
  const fresh = steps.filter((step) => step.before === undefined).length;
  const changed = steps.filter((step) => step.before !== undefined && !same(step.before, step.after)).length;
  return { what: `Register: ${rows.length} valves, ${fresh} new, ${changed} changed`, steps };
}

/** A service that was signed off here is known better than by any list; so is each act that has an interval of its own. */
function withoutWindingBack(
  { summaries }: Services,
  before: Valve | undefined,
  after: Valve,
): { readonly valve: Valve; readonly stays: readonly Difference[] } {
  const signed = new Set(
    before === undefined
      ? []
      : summaries
          .ofValve(after.tag)
          .flatMap(({ status, closedAt }) =>
            status === "signed-off" && closedAt !== null ? [closedAt] : [],
          ),
  );
  const stays: Difference[] = [];
  /** The date that counts: what is said, unless what is known is newer and was signed here. */
  const counts = (path: string, known: string | undefined, said: string | undefined) => {
    if (known === undefined || known === said || !signed.has(Date.parse(known))) return said;
    if (said !== undefined && Date.parse(said) >= Date.parse(known)) return said;
    stays.push({ path, before: known, after: said });
    return known;
  };
  const { serviced: saidServiced, last: saidLast = {}, ...rest } = after;
  const serviced = counts("/serviced", before?.serviced, saidServiced);
  const acts = [...new Set([...Object.keys(before?.last ?? {}), ...Object.keys(saidLast)])].flatMap((id) => {
    const at = counts(`/last/${id}`, before?.last?.[id], saidLast[id]);
    return at === undefined ? [] : [[id, at] as const];
  });
  return {
    valve: {
      ...rest,
      ...(serviced !== undefined && { serviced }),
      ...(acts.length > 0 && { last: Object.fromEntries(acts) }),
    },
    stays,
  };
}

export function planReadings(services: Services, readings: readonly StoredReading[]): PlannedFile {
  const { library } = services;
  const there = new Map<string, ReadonlySet<string>>();
  const key = (reading: StoredReading) => `${reading.what} ${reading.at}`;
  const known = (valve: string) => {
    if (!there.has(valve)) there.set(valve, new Set(library.readings(valve).map(key)));
    return there.get(valve)!;
  };
  const fresh = readings.filter((reading) => !known(reading.valve).has(key(reading)));
  const stay = readings.length - fresh.length;
  return {
    what: `Readings: ${fresh.length} new${stay > 0 ? `; ${stay} already here stay as they are` : ""}`,
    steps: fresh.map((reading) => ({
      kind: "reading",
      id: readingKey(reading),
      before: undefined,
      after: reading,
      store: (ledger) => {
        library.saveReadings([reading]);
        ledger.readings(reading.valve);
      },
    })),
  };
}
