import { CALCULATORS, calculate, calculatorNamed } from "@/core/calculators";
import { notationOf } from "@/core/quantity";
import { err } from "@/core/result";
import { CALCULATE } from "@/edge/contracts/engines";
import { refusal, refused } from "@/edge/problem";
import { route } from "@/edge/route";

export const POST = route(CALCULATE, ({ params: { id }, body }) => {
  const calculator = calculatorNamed(id);
  if (calculator === undefined)
    return err(
      refused(
        404,
        "No such calculator",
        `There is no calculator "${id}". There are: ${CALCULATORS.map((each) => each.id).join(", ")}.`,
      ),
    );
  const answer = calculate(calculator, body.inputs, notationOf(body.system));
  return answer.ok ? answer : err(refusal(422, "Not valid", answer.error));
});
