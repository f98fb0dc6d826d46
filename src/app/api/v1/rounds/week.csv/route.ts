import { ok } from "@/core/result";
import { ROUNDS_CSV } from "@/edge/contracts/house-rounds";
import { route } from "@/edge/route";
import { csvAnswer } from "@/server/lists/csv";
import { roundsCsv } from "@/server/rounds/rounds-csv";

export const GET = route(ROUNDS_CSV, ({ query: { week }, services }) =>
  ok(csvAnswer(roundsCsv(services, week), `rounds-${week}.csv`)),
);
