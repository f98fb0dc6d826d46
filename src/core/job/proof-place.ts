import type { Run } from "./run";
import { provingStep, readProving } from "./step-id";

/** Where the card in hand is read: the place of the line, where one is drawn, and since when its section stands. */
export function proofPlace({ plan, current, progress }: Run): {
  readonly node: string | undefined;
  /** ms; nothing where no wait was begun. */
  readonly stoodSince: number | undefined;
} {
  if (current === undefined) return { node: undefined, stoodSince: undefined };
  const proving = readProving(current.id);
  const gauge =
    proving === undefined ? current : plan.steps.find(({ id }) => id === provingStep("gauge", proving.at));
  const hold = proving === undefined ? current.id : provingStep("hold", proving.at);
  return {
    node: gauge !== undefined && "node" in gauge ? gauge.node : undefined,
    stoodSince: progress.waits.get(hold)?.from,
  };
}
