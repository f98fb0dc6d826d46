import { JOB_PROVE } from "@/edge/contracts/engines";
import { workedOutElsewhere } from "@/edge/heavy";
import { route } from "@/edge/route";

export const POST = route(JOB_PROVE, ({ body, signal }) => workedOutElsewhere("prove-job", body, signal));
