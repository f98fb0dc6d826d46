import { CALCULATORS } from "@/core/calculators";
import { ok } from "@/core/result";
import { CALCULATORS_LIST } from "@/edge/contracts/engines";
import { route } from "@/edge/route";

/** Everything but the function itself. */
export const GET = route(CALCULATORS_LIST, () =>
  ok({ calculators: CALCULATORS.map(({ compute: _, ...declared }) => declared) }),
);
