import { ok } from "@/core/result";
import { JOBS_CSV } from "@/edge/contracts/register";
import { route } from "@/edge/route";
import { csvAnswer, jobsCsv } from "@/server/lists/csv";

export const GET = route(JOBS_CSV, ({ query, services }) =>
  ok(csvAnswer(jobsCsv(services, query), "jobs.csv")),
);
