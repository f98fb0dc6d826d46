import type { Sheet } from "../formats";
import { unreachable } from "../result";
import type { StripFailure } from "./strip-plan";

/** Why a part cannot be reached, in words that name the parts. */
export function stripMessage(failure: StripFailure, sheet: Sheet): string {
  const name = (id: string) => sheet.parts.find((part) => part.id === id)?.name ?? id;
  switch (failure.kind) {
    case "unknown-part":
      return `This sheet has no part "${failure.part}". Choose one from its list.`;
    case "stays":
      return `${name(failure.part)} stays in place: it cannot be taken off in service. Replace the whole valve if it has failed.`;
    case "held-fast":
      return failure.by.length > 0
        ? `${name(failure.part)} is held by ${failure.by.map(name).join(", ")}, which nothing frees. Correct the sheet.`
        : `The sheet shows no way to take ${name(failure.part)} off this build.`;
    case "wrong-position":
      return `${name(failure.part)} comes off only in position "${failure.position}", and by then nothing is left to move the valve with. Correct the sheet.`;
    default:
      return unreachable(failure);
  }
}
