import type { EditFact, Valve } from "@/core/formats";
import { err, ok, type Problem, type Result } from "@/core/result";
import { type Edited, edit } from "../book/edit";
import { recordFaults } from "../register/valve-faults";
import type { Services } from "../services";

/** Most valves that are changed by one hand movement: what is more comes in as a file. */
export const MOST_AT_ONCE = 2000;

/** Puts new valves into the register, all or none: a row of equal ones, or a single one. */
export function addValves(services: Services, rows: readonly Valve[], by: string): Result<Edited, Problem[]> {
  const seen = new Set<string>();
  const problems = rows.flatMap((row, index): Problem[] => {
    const at = rows.length > 1 ? `/${index}/tag` : "/tag";
    const known = services.register.anyValve(row.tag);
    const twice = seen.has(row.tag);
    seen.add(row.tag);
    if (twice) return [{ path: at, message: `"${row.tag}" stands here twice. Each tag once.` }];
    if (known === undefined) return [];
    return [
      {
        path: at,
        message:
          known.retired === undefined
            ? `"${row.tag}" is in the register already. Take another tag.`
            : `"${row.tag}" was retired. Bring it back, or take another tag.`,
      },
    ];
  });
  if (problems.length > 0) return err(problems);
  return edit(
    services,
    { by, what: { kind: "added", thing: "valve", ids: rows.map(({ tag }) => tag) } },
    rows.map((row) => ({ kind: "valve", id: row.tag, after: row })),
  );
}

/** Changes several valves in the same way, whatever each makes of it. */
function changeEach(
  services: Services,
  tags: readonly string[],
  by: string,
  what: EditFact,
  change: (valve: Valve) => Valve,
): Result<Edited, Problem[]> {
  const valves = tags.map((tag) => services.register.anyValve(tag));
  const missing = tags.filter((_, index) => valves[index] === undefined);
  if (missing.length > 0)
    return err([{ path: "/tags", message: `Not in the register: ${missing.slice(0, 10).join(", ")}.` }]);
  return edit(
    services,
    { by, what },
    valves.flatMap((valve) =>
      valve === undefined ? [] : [{ kind: "valve", id: valve.tag, after: change(valve) }],
    ),
  );
}

/** The same fields of several valves: some set, some emptied. */
export function changeValves(
  services: Services,
  {
    tags,
    set,
    clear,
  }: { readonly tags: readonly string[]; readonly set: Partial<Valve>; readonly clear: readonly string[] },
  by: string,
): Result<Edited, Problem[]> {
  const records = tags.flatMap((tag) => {
    const sheet = set.sheet ?? services.register.anyValve(tag)?.sheet;
    return recordFaults(sheet === undefined ? undefined : services.library.sheet(sheet), set, "/set");
  });
  if (records.length > 0) return err(records.slice(0, 20));
  return changeEach(services, tags, by, { kind: "changed", thing: "valve", ids: tags }, (valve) => {
    const changed = { ...valve, ...set };
    return Object.fromEntries(Object.entries(changed).filter(([field]) => !clear.includes(field))) as Valve;
  });
}

/** Takes valves out of service for good: they ring no more, and their jobs and readings stay. */
export const retireValves = (
  services: Services,
  { tags, why }: { readonly tags: readonly string[]; readonly why: string },
  by: string,
): Result<Edited, Problem[]> =>
  changeEach(services, tags, by, { kind: "retired", ids: tags }, (valve) => ({
    ...valve,
    retired: valve.retired ?? new Date(services.now()).toISOString(),
    retiredWhy: why,
  }));

export const bringBackValves = (
  services: Services,
  { tags }: { readonly tags: readonly string[] },
  by: string,
): Result<Edited, Problem[]> =>
  changeEach(
    services,
    tags,
    by,
    { kind: "brought-back", ids: tags },
    ({ retired: _, retiredWhy: __, ...valve }) => valve,
  );

/** What somebody says is wrong with a valve; nothing when it is not so any more. */
export const reportFault = (
  services: Services,
  { tag, says }: { readonly tag: string; readonly says: string | undefined },
  by: string,
): Result<Edited, Problem[]> =>
  // Reported twice, or its answer was lost on the way: it stands there.
  says !== undefined && services.register.valve(tag)?.symptom === says
    ? ok({ edit: undefined, changes: 0 })
    : changeEach(
        services,
        [tag],
        by,
        { kind: "reported", ids: [tag] },
        ({ symptom: _, reported: __, reportedBy: ___, ...valve }) =>
          says === undefined
            ? valve
            : { ...valve, symptom: says, reported: new Date(services.now()).toISOString(), reportedBy: by },
      );
