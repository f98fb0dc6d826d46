import type { Sheet } from "../../formats";
import { buildThatShows, generationThatShows } from "../found-build";
import type { Phase } from "../phases";
import { type Step, type StepOf, step } from "../step";
import { stepAbout } from "../step-id";
import type { Noted } from "../steps/mark";
import type { NotedFigure } from "../steps/noted-figure";
import type { Context } from "./context";

/** Something to note before it moves or is covered. */
interface Capture {
  readonly id: string;
  readonly about: Noted;
  readonly choices: readonly string[];
  readonly figure?: NotedFigure;
  readonly photo?: true;
  readonly shapes?: StepOf<"mark">["shapes"];
  readonly dials?: StepOf<"mark">["dials"];
  /** How it has to be, whatever was found. */
  readonly right?: string;
  /** The part whose fitting shows it again. */
  readonly confirmAfter?: string;
  /** It shows once these are off. */
  readonly needsOff: readonly string[];
  /** It comes loose with this part, and is noted before that comes off. */
  readonly part?: string;
}

/** What the sheet asks, and where every loose end sits that this strip frees. */
export const captures = ({ sheet, removed }: Pick<Context, "sheet" | "removed">): Capture[] => [
  ...sheet.capture
    .filter(({ needsOff = [] }) => needsOff.every((part) => removed.includes(part)))
    .map(
      ({
        id,
        ask,
        why,
        choices = [],
        figure,
        photo,
        drawn: shapes,
        dials,
        confirmAfter,
        right,
        needsOff = [],
      }): Capture => ({
        id,
        about: { kind: "said", ask, why },
        choices,
        needsOff,
        ...(figure !== undefined && { figure }),
        ...(photo === true && { photo }),
        ...(shapes !== undefined && { shapes }),
        ...(dials !== undefined && { dials }),
        ...(right !== undefined && { right }),
        ...(confirmAfter !== undefined && { confirmAfter }),
      }),
    ),
  ...sheet.connections.flatMap((end): Capture[] => {
    if (end.on === undefined || end.part === undefined || !removed.includes(end.part)) return [];
    const free = end.kind === "wire" && end.polarity === "free";
    const { name, colour, part } = end;
    return [
      {
        id: `at:${end.id}`,
        about: { kind: "sits", name, ...(colour !== undefined && { colour }), end: end.kind, free },
        choices: end.on,
        needsOff: [],
        part,
        // What may sit either way is shown, not asked again.
        ...(!free && { confirmAfter: part }),
      },
    ];
  }),
];

/** What shows from outside, noted before anything is moved. */
export const mark = (context: Context, phase: Phase): Step[] =>
  captures(context)
    .filter((each) => context.rules < 3 || (each.needsOff.length === 0 && each.part === undefined))
    .flatMap((each) => markSteps(context, each, phase));

/** A mark, and the question behind it where it shows another build than the register says. */
const markSteps = (context: Context, each: Capture, phase: Phase): Step[] => [
  markStep(context, each, phase),
  ...otherBuild(context, each, phase),
];

/** What was noted shows another build than the register says. */
function otherBuild({ sheet, inputs, progress }: Context, { id }: Capture, phase: Phase): Step[] {
  const capture = sheet.capture.find((each) => each.id === id);
  const noted = progress.done.get(stepAbout("mark", id))?.entry;
  const registered = sheet.builds.find((each) => each.id === inputs.valve.build);
  if (capture === undefined || noted === undefined) return [];
  const found = buildThatShows(sheet, capture, noted);
  const other =
    found !== undefined && registered !== undefined && found.id !== registered.id
      ? { registered: registered.name, found: found.name }
      : otherGeneration(inputs, capture, noted);
  return other === undefined
    ? []
    : [step({ id: stepAbout("other-build", id), phase, minutes: 0.5 }, { kind: "other-build", ...other })];
}

/** It is of another generation than the register says: another kit goes into it. */
function otherGeneration(
  { valve }: Context["inputs"],
  capture: Sheet["capture"][number],
  noted: string,
): { registered: string; found: string } | undefined {
  const found = generationThatShows(capture, noted);
  return found === undefined || valve.generation === undefined || found === valve.generation
    ? undefined
    : { registered: valve.generation, found };
}

/** What a part takes with it, noted while it still sits. */
export const marksBefore = (context: Context, part: string): Step[] =>
  context.rules < 3
    ? []
    : captures(context)
        .filter((each) => each.part === part)
        .flatMap((each) => markSteps(context, each, "strip"));

/** What has come into sight with this part off. @param off parts that are off by now, this one the last */
export const marksOnce = (context: Context, part: string, off: ReadonlySet<string>): Step[] =>
  context.rules < 3
    ? []
    : captures(context)
        .filter(({ needsOff }) => needsOff.includes(part) && needsOff.every((each) => off.has(each)))
        .flatMap((each) => markSteps(context, each, "strip"));

function markStep(context: Context, each: Capture, phase: Phase): Step {
  const { id, about, choices, figure, photo, shapes, dials, right } = each;
  const taken = context.rules < 3 ? [] : takenBy(context, id, about);
  return step(
    { id: stepAbout("mark", id), phase, minutes: 0.5, mayOverride: true },
    {
      kind: "mark",
      mark: id,
      about,
      choices,
      ...(figure !== undefined && { figure }),
      ...(photo !== undefined && { photo }),
      ...(shapes !== undefined && { shapes }),
      ...(dials !== undefined && { dials }),
      ...(right !== undefined && { right }),
      ...(taken.length > 0 && { taken }),
    },
  );
}

/** Ports, terminals and sockets that another end was noted at: one place holds one end. */
function takenBy(context: Context, id: string, about: Noted): { place: string; by: string }[] {
  if (about.kind !== "sits") return [];
  return captures(context).flatMap((other) => {
    const noted = context.progress.done.get(stepAbout("mark", other.id))?.entry;
    return other.id === id ||
      other.about.kind !== "sits" ||
      other.about.end !== about.end ||
      noted === undefined
      ? []
      : [{ place: noted, by: other.about.name }];
  });
}

/** What was noted is shown when its part is in again, and has to be so; what was wrong is put right. Nothing noted, nothing to confirm. */
export const confirms = (context: Context, fitted: string): Step[] =>
  captures(context).flatMap(({ id, about, choices, figure, confirmAfter, right }) => {
    const noted = context.progress.done.get(stepAbout("mark", id))?.entry;
    if (confirmAfter !== fitted || noted === undefined) return [];
    return [
      step(
        { id: stepAbout("confirm", id), phase: "rebuild", minutes: 0.5, part: fitted },
        {
          kind: "confirm",
          of: id,
          about,
          noted,
          choices,
          ...(figure !== undefined && { figure }),
          mark: stepAbout("mark", id),
          ...(right !== undefined && right !== noted && { right }),
        },
      ),
    ];
  });
