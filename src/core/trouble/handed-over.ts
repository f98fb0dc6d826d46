import type { Sheet, TroubleAnswer } from "../formats";
import type { Problem } from "../result";

/** How far the time of a reading may lie ahead of the case: both are dated by one clock. */
const AHEAD_MS = 5000;

/**
 * Why what instruments are said to have shown is not taken: something else was written down, it was read after the case
 * had its end, or of a model on a real valve.
 *
 * @param ended ms
 */
export function refuseHandedOver(
  answers: readonly TroubleAnswer[],
  { demonstration }: Pick<Sheet, "demonstration">,
  ended: number,
): Problem[] {
  return answers.flatMap(({ typed, with: all = {} }, index) =>
    Object.entries(all).flatMap(([name, { by, at, read }]): Problem[] => {
      const path = `/answers/${index}/typed/${name}`;
      if (by === "simulated" && !demonstration)
        return [
          {
            path,
            message:
              "A simulated instrument proves nothing on a real valve. Read it, and type what you read.",
          },
        ];
      if (Date.parse(at) > ended + AHEAD_MS)
        return [{ path, message: "It is dated after the case. Read it again." }];
      return typed?.[name] === read
        ? []
        : [
            {
              path,
              message: `The instrument showed ${read}. Take that, or leave the instrument out.`,
            },
          ];
    }),
  );
}
