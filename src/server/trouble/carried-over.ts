import { type Case, type JobInputs, type Look, type Sheet, UNKNOWN } from "@/core/formats";
import { judged } from "@/core/trouble";
import type { Services } from "../services";
import { troubleOf } from "./knowledge";

type Carried = NonNullable<JobInputs["trouble"]>;

/** What a case hands on to its job: its words, and the checks of the sheet that it has answered. */
export function carriedOver(
  services: Services,
  id: string,
  sheet: Sheet,
): { readonly trouble: Carried } | undefined {
  const of = services.things.one("case", id);
  const knowledge = of && troubleOf(services, of.family);
  if (of === undefined || knowledge === undefined) return undefined;
  const found = of.answers.flatMap((given) => {
    const look = knowledge.looks.find((each) => each.id === given.look);
    return look === undefined ? [] : answered(look, given, of, sheet);
  });
  return { trouble: { case: id, says: of.says, found } };
}

function answered(
  look: Look,
  { answer, typed }: Case["answers"][number],
  { at, by }: Case,
  sheet: Sheet,
): Carried["found"] {
  const check = sheet.checks.find((each) => each.id === look.check);
  // What is measured in the work is measured there: only what comes before it is carried over.
  if (check === undefined || check.phase !== "triage" || answer === UNKNOWN) return [];
  if (look.kind === "choice") {
    const option = look.answers.find(({ id }) => id === answer)?.option;
    return option === undefined || check.kind === "measure"
      ? []
      : [{ check: check.id, answer: option, at, by }];
  }
  const figure = typed && judged(look, typed, sheet);
  return figure?.ok === true && check.kind === "measure"
    ? [{ check: check.id, si: figure.value.si, typed: typed!.reading ?? "", at, by }]
    : [];
}

/** The case knows its job: what that finds is learnt from. */
export function keepJobOfCase({ things }: Pick<Services, "things">, id: string, job: string): void {
  const of = things.one("case", id);
  if (of !== undefined) things.save("case", id, { ...of, job });
}
