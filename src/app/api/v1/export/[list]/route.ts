import { ok } from "@/core/result";
import { LIST_CSV } from "@/edge/contracts/taking-out";
import { route } from "@/edge/route";
import { csvAnswer } from "@/server/lists/csv";
import { plainCsv } from "@/server/lists/plain-csv";

export const GET = route(LIST_CSV, ({ params: { list }, services }) =>
  ok(csvAnswer(plainCsv(services, list), list)),
);
