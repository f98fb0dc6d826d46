import type { JoinFailure, SplitFailure } from "@/core/making";
import { unreachable } from "@/core/result";
import type { Speaker } from "./speaker";

/** Why a line cannot be split there. */
export function splitMessage({ say: { making } }: Speaker, failure: SplitFailure): string {
  switch (failure.kind) {
    case "no-such-link":
      return making.noLink(failure.link);
    case "goes-round":
      return making.goesRound(failure.link, failure.by);
    default:
      return unreachable(failure);
  }
}

/** Why two lines cannot be joined there. */
export function joinMessage({ say: { making } }: Speaker, failure: JoinFailure): string {
  switch (failure.kind) {
    case "no-such-place":
      return making.noPlace(failure.line, failure.place);
    case "other-medium":
      return making.otherMedium(failure.here, failure.there);
    case "same-line":
      return making.sameLine;
    default:
      return unreachable(failure);
  }
}
