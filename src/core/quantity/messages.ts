import { unreachable } from "../result";
import type { Dimension } from "./dimension";
import type { QuantityFailure } from "./parse";
import { type Unit, unitsOf } from "./units";

/** Units to type it in, the field's own first. */
const someUnits = (dimension: Dimension, assumed: Unit) =>
  [...new Set([assumed, ...unitsOf(dimension)])]
    .slice(0, 4)
    .map((each) => each.label)
    .filter((label) => label !== "")
    .join(", ");

const article = (dimension: Dimension) => (/^[aeiou]/.test(dimension) ? `an ${dimension}` : `a ${dimension}`);

/** What went wrong with a typed figure and what to type instead. @param assumed the unit the field stands in */
export function quantityMessage(failure: QuantityFailure, assumed: Unit): string {
  const wanted = article(failure.wanted);
  const hint = someUnits(failure.wanted, assumed);
  switch (failure.kind) {
    case "empty":
      return `Enter ${wanted}${hint ? `, in ${hint}` : ""}.`;
    case "no-number":
      return `"${failure.text}" is not a figure. Type a number${hint ? ` and a unit such as ${hint}` : ""}.`;
    case "unknown-unit":
      return `"${failure.unit}" is not a unit known here. Use ${hint || "a plain number"}.`;
    case "wrong-dimension":
      return `"${failure.unit}" is a unit of ${failure.found}; this asks for ${wanted}. Use ${hint || "a plain number"}.`;
    default:
      return unreachable(failure);
  }
}
