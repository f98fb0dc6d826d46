import { type Step, step } from "../step";
import { stepAbout } from "../step-id";
import type { Noted } from "../steps/mark";
import type { Context } from "./context";

/** Something to note before anything moves. */
interface Capture {
  readonly id: string;
  readonly about: Noted;
  readonly choices: readonly string[];
  /** The part whose fitting shows it again. */
  readonly confirmAfter?: string;
}

/** What the sheet asks, and where every loose end sits that this strip frees. */
export const captures = ({ sheet, removed }: Pick<Context, "sheet" | "removed">): Capture[] => [
  ...sheet.capture.map(
    ({ id, ask, why, choices, confirmAfter }): Capture => ({
      id,
      about: { kind: "said", ask, why },
      choices,
      ...(confirmAfter !== undefined && { confirmAfter }),
    }),
  ),
  ...sheet.connections.flatMap((end): Capture[] => {
    if (end.on === undefined || end.part === undefined || !removed.includes(end.part)) return [];
    const free = end.kind === "wire" && end.polarity === "free";
    const { name, colour } = end;
    return [
      {
        id: `at:${end.id}`,
        about: { kind: "sits", name, ...(colour !== undefined && { colour }), end: end.kind, free },
        choices: end.on,
        // What may sit either way is shown, not asked again.
        ...(!free && { confirmAfter: end.part }),
      },
    ];
  }),
];

export const mark = (context: Context): Step[] =>
  captures(context).map(({ id, about, choices }) =>
    step(
      { id: stepAbout("mark", id), phase: "mark", minutes: 0.5, mayOverride: true },
      { kind: "mark", mark: id, about, choices },
    ),
  );

/** What was noted is shown when its part is in again, and has to be so. Nothing noted, nothing to confirm. */
export const confirms = (context: Context, fitted: string): Step[] =>
  captures(context).flatMap(({ id, about, choices, confirmAfter }) => {
    const noted = context.progress.done.get(stepAbout("mark", id))?.entry;
    if (confirmAfter !== fitted || noted === undefined) return [];
    return [
      step(
        { id: stepAbout("confirm", id), phase: "rebuild", minutes: 0.5, part: fitted },
        { kind: "confirm", of: id, about, noted, choices, mark: stepAbout("mark", id) },
      ),
    ];
  });
