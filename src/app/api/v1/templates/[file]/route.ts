import Papa from "papaparse";
import { rowTemplate } from "@/core/formats";
import { ok } from "@/core/result";
import { TEMPLATE } from "@/edge/contracts/importing";
import { route } from "@/edge/route";

export const GET = route(TEMPLATE, ({ params: { file } }) => {
  const { columns, example } = rowTemplate(file);
  return ok(
    new Response(`${Papa.unparse([columns, example])}\r\n`, {
      headers: {
        "content-type": "text/csv; charset=utf-8",
        "content-disposition": `attachment; filename="${file}.csv"`,
      },
    }),
  );
});
