import { ok } from "@/core/result";
import { STOCK_CSV } from "@/edge/contracts/store";
import { route } from "@/edge/route";
import { csvAnswer, stockCsv } from "@/server/lists/csv";
import { endOfDay } from "@/server/store/stock-list";

export const GET = route(STOCK_CSV, ({ query: { on }, services }) =>
  ok(csvAnswer(stockCsv(services, on === undefined ? undefined : endOfDay(on)), "stock.csv")),
);
