import type { Step } from "@/core/job";
import { unreachable } from "@/core/result";
import type { Speaker } from "./speaker";

type Drawn = NonNullable<Step["drawn"]>[number];

/** What is drawn on a card, for those who read it or have it read to them. */
export function drawnWords({ say }: Speaker, drawn: Drawn): string {
  const words = say.drawn;
  switch (drawn.kind) {
    case "turn":
      return words.turn[drawn.way](drawn);
    case "stem":
      return words.stem(drawn.to, words.turn[drawn.way](drawn));
    case "lever":
      return words.lever(drawn.to_deg);
    case "arrow":
      return words.arrow[drawn.to];
    case "clock":
      return words.clock(drawn.at);
    case "face-up":
      return drawn.over === true ? words.turnOver(drawn.face) : words.faceUp(drawn.face);
    case "sets": {
      const hinge = drawn.sets.find((each) => each.hinge)?.letter;
      return hinge === undefined ? words.set(drawn.now) : words.setAndHinge(drawn.now, hinge);
    }
    default:
      return unreachable(drawn);
  }
}
