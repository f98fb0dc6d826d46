import { err, type Problem, type Result } from "@/core/result";
import { type Refusal, refusal } from "./problem";

/** What came of a change of own data: refused with every problem at its field, or as not being here. */
export const kept = <T>(done: Result<T, readonly Problem[]>): Result<T, Refusal> =>
  done.ok ? done : err(refusal(422, "Nothing was changed", done.error));
