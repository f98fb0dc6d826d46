import { JOB_PLAN } from "@/edge/contracts/engines";
import { workedOutElsewhere } from "@/edge/heavy";
import { route } from "@/edge/route";

export const POST = route(JOB_PLAN, ({ body, signal }) => workedOutElsewhere("plan-job", body, signal));
