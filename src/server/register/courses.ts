import type { Sheet, Valve } from "@/core/formats";
import { type Course, coursesOf, type DatedReading, type Measured, type SistersBy } from "@/core/rounds";
import { type Sisters, sistersOf, type TimedValue } from "@/core/statistics";
import type { Services } from "../services";

const YEAR_MS = 365.25 * 86_400_000;
/** As many of a kind as teach how it goes. */
const MOST_SISTERS = 300;
/** Among so many one more or less changes nothing: it need not be left out of its own prior. */
const MANY = 30;

interface Kin {
  readonly readings: number;
  readonly by: ReadonlyMap<string, ReadonlyMap<string, readonly TimedValue[]>>;
  readonly all: Map<string, Sisters | undefined>;
}

/** How other valves of its model go, by what is measured: read once for all of them, as long as no reading is added. */
export function sistersOfValve(services: Services, { tag }: Pick<Valve, "tag">, sheet: string): SistersBy {
  const { kept, library } = services;
  const key = `sisters ${sheet}`;
  const readings = library.countReadings();
  const known = kept.get(key) as Kin | undefined;
  const kin = known?.readings === readings ? known : { readings, by: kinOf(services, sheet), all: new Map() };
  kept.set(key, kin);
  return (what) => {
    const of = kin.by.get(what);
    if (of === undefined) return undefined;
    if (of.size <= MANY) return sistersOf([...of].flatMap(([valve, its]) => (valve === tag ? [] : [its])));
    if (!kin.all.has(what)) kin.all.set(what, sistersOf([...of.values()]));
    return kin.all.get(what);
  };
}

function kinOf({ library }: Services, sheet: string): Kin["by"] {
  const by = new Map<string, Map<string, TimedValue[]>>();
  for (const { valve, what, at, si } of library.readingsOfSheet(sheet, MOST_SISTERS)) {
    const of = by.get(what) ?? new Map<string, TimedValue[]>();
    by.set(what, of);
    const its = of.get(valve) ?? [];
    of.set(valve, its);
    its.push({ time: at / YEAR_MS, value: si });
  }
  return by;
}

/** How the readings of a valve go, with its sisters' as the prior. */
export function coursesNow(
  services: Services,
  valve: Pick<Valve, "tag">,
  sheet: Sheet,
  readings: readonly DatedReading[] = services.library.readings(valve.tag),
): Course[] {
  return readings.length === 0 ? [] : coursesOf(readings, sheet, sistersOfValve(services, valve, sheet.id));
}

/** All that a valve rings by beside the calendar. */
export function measuredNow(
  services: Services,
  valve: Pick<Valve, "tag">,
  sheet: Sheet,
  readings: readonly DatedReading[] = services.library.readings(valve.tag),
): Measured {
  if (readings.length === 0) return {};
  return {
    courses: coursesNow(services, valve, sheet, readings),
    readings,
    sisters: sistersOfValve(services, valve, sheet.id),
  };
}
