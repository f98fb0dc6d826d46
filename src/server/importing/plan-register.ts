import type { Difference, Valve } from "@/core/formats";
import type { StoredReading } from "@/data";
import { keepValve } from "../register/keep-valve";
import type { Services } from "../services";
import { rowOver } from "./check-together";
import { type PlannedFile, type Step, same } from "./planned";
import type { RegisterRow } from "./read-csv";

export function planRegister(services: Services, rows: readonly RegisterRow[]): PlannedFile {
  const sheets = new Map<string, ReturnType<Services["library"]["sheet"]>>();
  const sheet = (id: string) => {
    if (!sheets.has(id)) sheets.set(id, services.library.sheet(id));
    return sheets.get(id);
  };
  const steps = rows.map((row): Step => {
    const before = services.register.valve(row.tag);
    const { valve, stays } = withoutWindingBack(services, before, rowOver(before, row) as Valve);
    return {
      kind: "valve",
      id: row.tag,
      before,
      after: valve,
      stays,
      store: () => keepValve(services, valve, sheet(valve.sheet)),
    };
  });
  const fresh = steps.filter((step) => step.before === undefined).length;
  const changed = steps.filter((step) => step.before !== undefined && !same(step.before, step.after)).length;
  return { what: `Register: ${rows.length} valves, ${fresh} new, ${changed} changed`, steps };
}

/** A service that was signed off here is known better than by any list. */
function withoutWindingBack(
  { summaries }: Services,
  before: Valve | undefined,
  after: Valve,
): { readonly valve: Valve; readonly stays: readonly Difference[] } {
  const [known, said] = [before?.serviced, after.serviced];
  if (known === undefined || known === said || (said !== undefined && Date.parse(said) >= Date.parse(known)))
    return { valve: after, stays: [] };
  const signed = summaries
    .ofValve(after.tag)
    .some((job) => job.status === "signed-off" && job.closedAt === Date.parse(known));
  return signed
    ? { valve: { ...after, serviced: known }, stays: [{ path: "/serviced", before: known, after: said }] }
    : { valve: after, stays: [] };
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
      id: `${reading.valve} ${reading.what} ${new Date(reading.at).toISOString()}`,
      before: undefined,
      after: reading,
      store: (ledger) => {
        library.saveReadings([reading]);
        ledger.readings(reading.valve);
      },
    })),
  };
}
