import { type StepRule, ticked } from "../step-rule";

/** The tag on the valve, in the sheet's words. */
export interface TagFacts {
  readonly kind: "tag";
  readonly says: string;
}

export const tag: StepRule<TagFacts> = {
  takes: { ...ticked.takes, "photo-taken": () => undefined },
  acts: () => [{ do: "tag" }],
};
