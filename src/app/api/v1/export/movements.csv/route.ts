import { ok } from "@/core/result";
import { MOVEMENTS_CSV } from "@/edge/contracts/store";
import { route } from "@/edge/route";
import { csvAnswer, movementsCsv } from "@/server/lists/csv";

export const GET = route(MOVEMENTS_CSV, ({ services }) =>
  ok(csvAnswer(movementsCsv(services), "movements.csv")),
);
