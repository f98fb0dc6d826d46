import type { JobInputs, Sheet } from "../formats";
import type { Progress } from "./progress";
import { stepAbout } from "./step-id";

type Capture = Sheet["capture"][number];
export type Build = Sheet["builds"][number];

/** The build that shows what was noted here. */
export function buildThatShows(
  sheet: Sheet,
  { byBuild = {} }: Pick<Capture, "byBuild">,
  noted: string,
): Build | undefined {
  const of = Object.entries(byBuild).flatMap(([build, choice]) => (choice === noted ? [build] : []));
  // One look that several builds share tells nothing.
  return of.length === 1 ? sheet.builds.find(({ id }) => id === of[0]) : undefined;
}

/** The generation that shows what was noted here. */
export function generationThatShows(
  { byGeneration = {} }: Pick<Capture, "byGeneration">,
  noted: string,
): string | undefined {
  const of = Object.entries(byGeneration).flatMap(([generation, choice]) =>
    choice === noted ? [generation] : [],
  );
  return of.length === 1 ? of[0] : undefined;
}

/** The generation that stands there, as it was noted on the valve itself. */
export function foundGeneration(
  { capture }: Pick<Sheet, "capture">,
  { done }: Pick<Progress, "done">,
): string | undefined {
  for (const each of capture) {
    const noted = done.get(stepAbout("mark", each.id))?.entry;
    const generation = noted === undefined ? undefined : generationThatShows(each, noted);
    if (generation !== undefined) return generation;
  }
  return undefined;
}

/** The same, once what the register says otherwise was looked at again. */
export function confirmedGeneration(
  { sheet, valve }: Pick<JobInputs, "sheet" | "valve">,
  progress: Pick<Progress, "done">,
): string | undefined {
  const found = foundGeneration(sheet, progress);
  const asRegistered = valve.generation === undefined || found === valve.generation;
  return asRegistered || lookedAgain(sheet, progress) ? found : undefined;
}

const lookedAgain = ({ capture }: Sheet, { done }: Pick<Progress, "done">): boolean =>
  capture.some(({ id }) => done.has(stepAbout("other-build", id)));

/** The build that stands there, as it was noted on the valve itself. */
export function foundBuild(sheet: Sheet, { done }: Pick<Progress, "done">): Build | undefined {
  for (const capture of sheet.capture) {
    const noted = done.get(stepAbout("mark", capture.id))?.entry;
    const build = noted === undefined ? undefined : buildThatShows(sheet, capture, noted);
    if (build !== undefined) return build;
  }
  return undefined;
}

/** The same, once what the register says otherwise was looked at again. */
export function confirmedBuild(
  { sheet, valve }: Pick<JobInputs, "sheet" | "valve">,
  progress: Pick<Progress, "done">,
): Build | undefined {
  const found = foundBuild(sheet, progress);
  const registered = valve.build === undefined || found?.id === valve.build;
  return registered || lookedAgain(sheet, progress) ? found : undefined;
}

/** The build the work goes by: what stands there, else what the register says. @returns its id */
export const buildAtWork = (
  { sheet, valve }: Pick<JobInputs, "sheet" | "valve">,
  progress: Pick<Progress, "done">,
): string | undefined => foundBuild(sheet, progress)?.id ?? valve.build;
