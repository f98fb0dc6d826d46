import { CALCULATORS } from "@/core/calculators";

/** Everything but the function itself. */
export function GET(): Response {
  return Response.json({ calculators: CALCULATORS.map(({ compute: _, ...declared }) => declared) });
}
