import { createElement } from "react";
import { calculate, calculatorNamed, readTyped, type SentInput, siOf } from "@/core/calculators";
import { err, ok } from "@/core/result";
import { GASKET_TEMPLATE } from "@/edge/contracts/engines";
import { refusal, refused } from "@/edge/problem";
import { route } from "@/edge/route";
import { gasketPdf } from "@/server/bench/gasket-pdf";
import { GasketTemplate } from "@/ui/calculator/gasket-template";

const MM = 1000;

/** The gasket cutter's template at full size: `?bore=102 mm&circle=180 mm…` as typed; SVG or PDF. */
export const GET = route(GASKET_TEMPLATE, async ({ params: { id, kind }, query }) => {
  const cutter = calculatorNamed("gasket-cutter")!;
  if (id !== cutter.id || (kind !== "svg" && kind !== "pdf"))
    return err(refused(404, "No such template", "Only gasket-cutter has templates: svg and pdf."));
  const sent: Record<string, SentInput> = {};
  for (const [name, text] of Object.entries(query as Record<string, string>)) {
    const input = cutter.inputs.find((each) => each.name === name);
    const read = input === undefined ? undefined : readTyped(input, text);
    if (read?.ok) sent[name] = read.value;
    else
      return err(
        refused(
          422,
          "Not valid",
          read === undefined ? `There is no input "${name}".` : read.error,
          `/${name}`,
        ),
      );
  }
  const answer = calculate(cutter, sent);
  if (!answer.ok) return err(refusal(422, "Not valid", answer.error));
  const { outputs, tables } = answer.value;
  const hole = outputs.hole === undefined ? undefined : siOf(outputs, "hole");
  const holes = (tables.holes ?? []).map((row) => ({ x: siOf(row, "x"), y: siOf(row, "y") }));
  const shape = { inner: siOf(outputs, "inner"), outer: siOf(outputs, "outer"), hole, holes };
  if (kind === "pdf") {
    const pdf = await gasketPdf({
      inner_mm: shape.inner * MM,
      outer_mm: shape.outer * MM,
      ...(hole !== undefined && { hole_mm: hole * MM }),
      holes: holes.map(({ x, y }) => ({ x_mm: x * MM, y_mm: y * MM })),
    });
    return ok(new Response(Buffer.from(pdf), { headers: { "content-type": "application/pdf" } }));
  }
  const { renderToStaticMarkup } = await import("react-dom/server");
  return ok(
    new Response(renderToStaticMarkup(createElement(GasketTemplate, { shape })), {
      headers: { "content-type": "image/svg+xml" },
    }),
  );
});
