import type { Moves, Needs, Sheet } from "../formats";
import type { Problem } from "../result";
import { checkCapture } from "./check-capture";

/** Where cards stand: what they need and move, in which order parts go in, what covers the spindle, what is noted when. */
export function checkStanding(sheet: Sheet): Problem[] {
  const parts = new Map(sheet.parts.map((part) => [part.id, part]));
  const unknown = (ids: readonly string[] | undefined, path: string): Problem[] =>
    (ids ?? []).flatMap((id, index) =>
      parts.has(id)
        ? []
        : [{ path: `${path}/${index}`, message: `There is no part "${id}". Add it or correct the name.` }],
    );
  const fixed = (ids: readonly string[] | undefined, path: string): Problem[] =>
    (ids ?? []).flatMap((id, index) => {
      const part = parts.get(id);
      return part?.stays === true
        ? [
            {
              path: `${path}/${index}`,
              message: `${part.name} stays in the valve: name a part that comes off, or say how this one does.`,
            },
          ]
        : [];
    });
  const card = ({ needs, moves }: { needs?: Needs; moves?: Moves }, at: string): Problem[] => [
    ...unknown(needs?.off, `${at}/needs/off`),
    ...fixed(needs?.off, `${at}/needs/off`),
    ...unknown(needs?.fitted, `${at}/needs/fitted`),
    ...unknown(needs?.loose, `${at}/needs/loose`),
    ...fixed(needs?.loose, `${at}/needs/loose`),
    ...contradictions(needs, moves, at),
  ];
  return [
    ...sheet.checks.flatMap((check, index) => card(check, `/checks/${index}`)),
    ...sheet.restore.flatMap((each, index) => card(each, `/restore/${index}`)),
    ...(sheet.tasks ?? []).flatMap((task, index) => card(task, `/tasks/${index}`)),
    ...(sheet.tasks ?? []).flatMap(({ id, count }, index): Problem[] =>
      count?.asMany === undefined || countedAt(sheet, id).includes(count.asMany)
        ? []
        : [
            {
              path: `/tasks/${index}/count/asMany`,
              message: `No task before this one counts anything under "${count.asMany}". Name one that does, or leave it out.`,
            },
          ],
    ),
    ...(sheet.tasks ?? []).flatMap(({ count, swing }, index): Problem[] =>
      count === undefined || swing === undefined
        ? []
        : [
            {
              path: `/tasks/${index}/swing`,
              message:
                "What is timed is not counted as well: one card notes one figure. Make two tasks of it.",
            },
          ],
    ),
    ...unknown(sheet.position?.under, "/position/under"),
    ...fixed(sheet.position?.under, "/position/under"),
    ...unknown(sheet.rebuild, "/rebuild"),
    ...fixed(sheet.rebuild, "/rebuild"),
    ...sheet.capture.flatMap((capture, index) => [
      ...unknown(capture.needsOff, `/capture/${index}/needsOff`),
      ...fixed(capture.needsOff, `/capture/${index}/needsOff`),
      ...checkCapture(sheet, capture, `/capture/${index}`),
    ]),
  ];
}

/** Tasks before this one at which something is counted. */
function countedAt({ tasks = [] }: Sheet, before: string): string[] {
  const at = tasks.findIndex(({ id }) => id === before);
  return tasks.slice(0, at).flatMap(({ id, count }) => (count === undefined ? [] : [id]));
}

/** What cannot both hold at one card. */
function contradictions(needs: Needs | undefined, moves: Moves | undefined, at: string): Problem[] {
  const flows = (needs?.in ?? []).filter((flow) => needs?.shut?.includes(flow));
  const gone = new Set(needs?.off);
  const parts = [...(needs?.fitted ?? []), ...(needs?.loose ?? [])].filter((part) => gone.has(part));
  const idle = (moves?.shuts ?? []).filter((flow) => !needs?.in?.includes(flow));
  return [
    ...flows.map((flow) => ({
      path: `${at}/needs/shut`,
      message: `"${flow}" cannot be in and still shut for one card. Take one of the two out.`,
    })),
    ...parts.map((part) => ({
      path: `${at}/needs/off`,
      message: `"${part}" cannot be off and in for one card. Take one of the two out.`,
    })),
    ...idle.map((flow) => ({
      path: `${at}/moves/shuts`,
      message: `"${flow}" can be shut for this card only when it is in: add it to what comes in again.`,
    })),
  ];
}
