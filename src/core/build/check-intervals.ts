import type { Sheet } from "../formats";
import type { Problem } from "../result";

/** Each interval leads to parts, tasks and complaints that are there; what makes one due names one that is there. */
export function checkIntervals(sheet: Sheet): Problem[] {
  const problems: Problem[] = [];
  const parts = new Set(sheet.parts.map(({ id }) => id));
  const tasks = new Set((sheet.tasks ?? []).map(({ id }) => id));
  const symptoms = new Set(sheet.symptoms.map(({ id }) => id));
  const intervals = new Set(sheet.intervals.map(({ id }) => id));
  const known = (
    ids: readonly string[] | undefined,
    there: ReadonlySet<string>,
    what: string,
    path: string,
  ) =>
    ids?.forEach((id, index) => {
      if (!there.has(id))
        problems.push({
          path: `${path}/${index}`,
          message: `There is no ${what} "${id}" in this sheet. Add it or correct the name.`,
        });
    });
  const knownInterval = (id: string | undefined, path: string) => {
    if (id !== undefined && !intervals.has(id))
      problems.push({
        path,
        message: `There is no interval "${id}" in this sheet. Add it or correct the name.`,
      });
  };
  sheet.intervals.forEach(({ id, renews, opens, does, atOnceAfter }, index) => {
    const at = `/intervals/${index}`;
    known(renews, parts, "part", `${at}/renews`);
    known(opens, parts, "part", `${at}/opens`);
    known(does, tasks, "task", `${at}/does`);
    known(atOnceAfter, symptoms, "complaint", `${at}/atOnceAfter`);
    if (sheet.intervals.findIndex((each) => each.id === id) !== index)
      problems.push({ path: `${at}/id`, message: `"${id}" is used twice. Give each its own id.` });
  });
  sheet.symptoms.forEach(({ interval }, index) => {
    knownInterval(interval, `/symptoms/${index}/interval`);
  });
  sheet.checks.forEach((check, index) => {
    const at = `/checks/${index}`;
    switch (check.kind) {
      case "choice":
        check.options.forEach(({ makesDue }, option) => {
          knownInterval(makesDue, `${at}/options/${option}/makesDue`);
        });
        return;
      case "trick":
        knownInterval(check.go.makesDue, `${at}/go/makesDue`);
        knownInterval(check.noGo.makesDue, `${at}/noGo/makesDue`);
        return;
      case "measure":
        for (const side of ["within", "below", "above"] as const)
          knownInterval(check[side]?.makesDue, `${at}/${side}/makesDue`);
    }
  });
  return problems;
}
