import { type StepRule, ticked } from "../step-rule";

/** Gear that is put on before anything is touched, and who may do this work. */
export interface ProtectFacts {
  readonly kind: "protect";
  readonly gear: readonly string[];
  readonly competence: string;
}

export const protect: StepRule<ProtectFacts> = { ...ticked, acts: () => [{ do: "protect" }] };
