import type { Check, RestoreCard } from "../../formats";
import type { Phase } from "../phases";
import { type Step, step } from "../step";
import { stepAbout } from "../step-id";
import { linesOf } from "../steps/lines";
import { puttingBack } from "../steps/standing";
import { checkStep } from "./checks";
import { type Context, said } from "./context";
import { carried } from "./stand";

/** Puts back what a card moved, right behind it. */
export function withPutBack(card: Step): Step[] {
  const moved = "moves" in card ? puttingBack(card.moves ?? []) : [];
  if (moved.length === 0) return [card];
  return [
    card,
    step(
      { id: stepAbout("put-back", card.id), phase: card.phase, minutes: moved.length, dangers: card.dangers },
      { kind: "put-back", moved },
    ),
  ];
}

/** A check that stands where its needs hold, whatever phase it is usually asked in. */
export const checkAt = (context: Context, check: Check, phase: Phase): Step[] =>
  withPutBack({ ...checkStep(context, check), phase });

/** A card of the sheet about coming back. */
export const readyStep = (context: Context, card: RestoreCard): Step[] =>
  withPutBack(
    step(
      {
        id: stepAbout("ready", card.id),
        phase: "restore",
        minutes: card.minutes,
        dangers: said(card.cautions),
      },
      {
        kind: "ready",
        card: card.id,
        do: card.do,
        why: card.why,
        ...linesOf(card.list),
        ...carried(context, card),
      },
    ),
  );
