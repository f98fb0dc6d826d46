import { type Sheet, type Trouble, type TroubleAnswer, triedAs, UNKNOWN } from "../formats";
import { err, ok, type Problem, type Result } from "../result";
import { answersOf } from "./answering";
import { judged } from "./measure";

const TRIED = ["cured", "not"] as const;

/** Answers as they were given, judged: by look, or by `triedAs` of an end. A typed figure counts for what it says. */
export function answersGiven(
  { looks, ends }: Trouble,
  given: readonly TroubleAnswer[],
  sheet?: Sheet,
): Result<Map<string, string>, Problem[]> {
  const answers = new Map<string, string>();
  const problems: Problem[] = [];
  for (const [index, { look: id, answer, typed }] of given.entries()) {
    const at = `/answers/${index}`;
    const look = looks.find((each) => each.id === id);
    const tried = ends.find((end) => triedAs(end.id) === id);
    if (look === undefined && tried === undefined)
      problems.push({ path: `${at}/look`, message: `There is no look "${id}".` });
    else if (answer === UNKNOWN) answers.set(id, answer);
    else if (look?.kind === "measure" && typed !== undefined) {
      const found = judged(look, typed, sheet);
      if (found.ok) answers.set(id, found.value.band);
      else problems.push(...found.error.map((each) => ({ ...each, path: `${at}${each.path}` })));
    } else {
      const possible = look === undefined ? TRIED : answersOf(look);
      if (answer !== undefined && possible.includes(answer as never)) answers.set(id, answer);
      else
        problems.push({
          path: `${at}/answer`,
          message: `"${answer ?? ""}" is no answer to "${id}". It is one of: ${[...possible, UNKNOWN].join(", ")}.`,
        });
    }
  }
  return problems.length > 0 ? err(problems) : ok(answers);
}
