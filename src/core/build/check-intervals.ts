import { type Sheet, verdictsOf } from "../formats";
import type { Problem } from "../result";

/** Each interval leads to parts, tasks and complaints that are there; what makes one due names one that is there. */
export function checkIntervals(sheet: Sheet): Problem[] {
  const problems: Problem[] = [];
  const parts = new Set(sheet.parts.map(({ id }) => id));
  const tasks = new Set((sheet.tasks ?? []).map(({ id }) => id));
  const symptoms = new Set(sheet.symptoms.map(({ id }) => id));
  const intervals = new Set(sheet.intervals.map(({ id }) => id));
  const rechecks = new Set((sheet.rechecks ?? []).map(({ id }) => id));
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
    if (interval === undefined || !rechecks.has(interval))
      knownInterval(interval, `/symptoms/${index}/interval`);
  });
  sheet.rechecks?.forEach(({ id }, index) => {
    const path = `/rechecks/${index}/id`;
    if (intervals.has(id) || sheet.rechecks?.findIndex((each) => each.id === id) !== index)
      problems.push({ path, message: `"${id}" is used twice. Give each its own id.` });
    if (!sheet.symptoms.some(({ interval }) => interval === id))
      problems.push({ path, message: "No reason of the sheet is the work of it: add one that looks." });
  });
  sheet.checks.forEach((check, index) => {
    const at = `/checks/${index}`;
    for (const { path, verdict } of verdictsOf(check)) {
      knownInterval(verdict.makesDue, `${at}${path}/makesDue`);
      knownInterval(verdict.shortens?.interval, `${at}${path}/shortens/interval`);
    }
  });
  return problems;
}
