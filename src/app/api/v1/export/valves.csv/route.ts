import { ok } from "@/core/result";
import { VALVES_CSV } from "@/edge/contracts/register";
import { route } from "@/edge/route";
import { csvAnswer, valvesCsv } from "@/server/lists/csv";

export const GET = route(VALVES_CSV, ({ query, services }) =>
  ok(csvAnswer(valvesCsv(services, query), "valves.csv")),
);
