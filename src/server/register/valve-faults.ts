import type { Sheet, Valve } from "@/core/formats";
import type { Problem } from "@/core/result";
import type { Services } from "../services";

/** What a valve can name, as all stands together. */
export interface Named {
  readonly sheet: (id: string) => Sheet | undefined;
  readonly line: (id: string) => { readonly name: string; readonly places: ReadonlySet<string> } | undefined;
}

/** What a valve names has to be there. @param at path of the valve */
export function valveFaults(set: Named, valve: Valve, at: string): Problem[] {
  const problems: Problem[] = [];
  const sheet = set.sheet(valve.sheet);
  if (sheet === undefined)
    problems.push({
      path: `${at}/sheet`,
      message: `There is no sheet "${valve.sheet}", here or in the library. Bring it in with the register, or correct the name.`,
    });
  else if (valve.build !== undefined && !sheet.builds.some((build) => build.id === valve.build))
    problems.push({
      path: `${at}/build`,
      message: `The sheet has no build "${valve.build}": ${sheet.builds.map((build) => build.id).join(", ")}.`,
    });
  if ((valve.lat === undefined) !== (valve.lon === undefined))
    problems.push({
      path: `${at}/${valve.lat === undefined ? "lat" : "lon"}`,
      message: "A place on the map needs both: degrees north and degrees east.",
    });
  if (valve.line === undefined) return problems;
  const line = set.line(valve.line);
  if (line === undefined)
    problems.push({
      path: `${at}/line`,
      message: `There is no line "${valve.line}". Bring it in with the register, or leave the column empty.`,
    });
  else if (!line.places.has(valve.node ?? valve.tag))
    problems.push({
      path: `${at}/node`,
      message: `The line "${line.name}" has no place "${valve.node ?? valve.tag}".`,
    });
  return problems;
}

/** Nobody's job is taken from under the hand: a valve that is worked on is not retired. */
export function retiredAtWork({ summaries }: Services, { tag, retired }: Valve, at: string): Problem[] {
  return retired === undefined || summaries.openOfValve(tag) === undefined
    ? []
    : [{ path: `${at}/retired`, message: `A job goes on on ${tag}. Sign it off or stop it for good first.` }];
}

const NAMED = {
  last: "interval",
  dueSince: "interval",
  shorter: "interval",
  months: "interval",
  recheck: "look once more",
  fitted: "option",
  served: "part",
} as const;
const RECORDS = Object.keys(NAMED) as (keyof typeof NAMED)[];

const ids = (list: readonly { readonly id: string }[] = []) => list.map(({ id }) => id);

/** What the sheet has by each of these names. */
function known(sheet: Sheet, column: keyof typeof NAMED): readonly string[] {
  switch (NAMED[column]) {
    case "interval":
      return ids(sheet.intervals);
    case "look once more":
      return ids(sheet.rechecks);
    case "option":
      return ids(sheet.options);
    case "part":
      return ids(sheet.parts);
  }
}

/** Dates and figures that are given now are of something the sheet has; what stood there may be of an older revision. */
export function recordFaults(sheet: Sheet | undefined, given: Partial<Valve>, at: string): Problem[] {
  if (sheet === undefined) return [];
  return RECORDS.flatMap((column) => {
    const has = known(sheet, column);
    return Object.keys(given[column] ?? {}).flatMap((id) =>
      has.includes(id)
        ? []
        : [
            {
              path: `${at}/${column}/${id}`,
              message: `The sheet has no ${NAMED[column]} "${id}": ${has.join(", ") || "it has none"}.`,
            },
          ],
    );
  });
}
