import type { JobInputs, Sheet } from "../formats";
import type { Noted } from "./entered";
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

/** What the first of the notes that tells it shows of the valve. */
function firstShown<T>(
  { capture }: Pick<Sheet, "capture">,
  { done }: Noted,
  shows: (capture: Capture, noted: string) => T | undefined,
): T | undefined {
  for (const each of capture) {
    const noted = done.get(stepAbout("mark", each.id))?.entry;
    const shown = noted === undefined ? undefined : shows(each, noted);
    if (shown !== undefined) return shown;
  }
  return undefined;
}

/** The generation that stands there, as it was noted on the valve itself. */
export const foundGeneration = (sheet: Pick<Sheet, "capture">, progress: Noted): string | undefined =>
  firstShown(sheet, progress, generationThatShows);

/** The same, once what the register says otherwise was looked at again. */
export function confirmedGeneration(
  { sheet, valve }: Pick<JobInputs, "sheet" | "valve">,
  progress: Noted,
): string | undefined {
  const found = foundGeneration(sheet, progress);
  const asRegistered = valve.generation === undefined || found === valve.generation;
  return asRegistered || lookedAgain(sheet, progress) ? found : undefined;
}

const lookedAgain = ({ capture }: Sheet, { done }: Noted): boolean =>
  capture.some(({ id }) => done.has(stepAbout("other-build", id)));

/** The build that stands there, as it was noted on the valve itself. */
export const foundBuild = (sheet: Sheet, progress: Noted): Build | undefined =>
  firstShown(sheet, progress, (capture, noted) => buildThatShows(sheet, capture, noted));

/** The same, once what the register says otherwise was looked at again. */
export function confirmedBuild(
  { sheet, valve }: Pick<JobInputs, "sheet" | "valve">,
  progress: Noted,
): Build | undefined {
  const found = foundBuild(sheet, progress);
  const registered = valve.build === undefined || found?.id === valve.build;
  return registered || lookedAgain(sheet, progress) ? found : undefined;
}

/** The build the work goes by: what stands there, else what the register says. @returns its id */
export const buildAtWork = (
  { sheet, valve }: Pick<JobInputs, "sheet" | "valve">,
  progress: Noted,
): string | undefined => foundBuild(sheet, progress)?.id ?? valve.build;
