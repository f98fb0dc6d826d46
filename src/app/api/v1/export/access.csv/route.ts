import { ok } from "@/core/result";
import { ACCESS_LOG } from "@/edge/contracts/people";
import { route } from "@/edge/route";
import { accessCsv } from "@/server/access/access-log";
import { csvAnswer } from "@/server/lists/csv";

export const GET = route(ACCESS_LOG, ({ services }) => ok(csvAnswer(accessCsv(services), "access.csv")));
