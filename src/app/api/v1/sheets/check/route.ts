import { checkSheet } from "@/core/build";
import { err, ok } from "@/core/result";
import { CHECK_SHEET } from "@/edge/contracts/documents";
import { refusal } from "@/edge/problem";
import { route } from "@/edge/route";

export const POST = route(CHECK_SHEET, ({ body }) => {
  const problems = checkSheet(body);
  if (problems.length > 0) return err(refusal(422, "The sheet is not valid", problems));
  const { parts, checks, kits } = body;
  return ok({ valid: true, parts: parts.length, checks: checks.length, kits: kits.length });
});
