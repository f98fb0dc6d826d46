import type { MovementKind, Store } from "@/core/formats";
import { unreachable } from "@/core/result";
import type { MovementFailure } from "@/core/store";
import type { Speaker } from "./speaker";

/** Why a movement is not booked, and what to do. */
export function moveRefused({ say }: Speaker, failure: MovementFailure, { places }: Store): string {
  const words = say.store.refused;
  const named = (id: string) => places.find((place) => place.id === id)?.name ?? id;
  switch (failure.kind) {
    case "no-such-place":
      return words[failure.kind](failure.place);
    case "no-such-item":
      return words[failure.kind](failure.item.id);
    case "too-few":
    case "counted-meanwhile":
    case "not-aside":
      return words[failure.kind](failure.name, named(failure.place), failure.have);
    case "not-of-that-day":
      return words[failure.kind](failure.name, failure.until, failure.have);
    case "nothing":
    case "same-place":
    case "undone-already":
      return words[failure.kind];
    default:
      return unreachable(failure);
  }
}

/** What was done with pieces, in a word or two. */
export const moveKind = ({ say }: Speaker, kind: MovementKind): string => say.store.kinds[kind];
