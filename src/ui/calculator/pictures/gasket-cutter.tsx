"use client";

import { Download } from "lucide-react";
import { siOf, wordsOf } from "@/core/calculators";
import { unit } from "@/core/quantity";
import { useFigures } from "@/ui/use-figures";
import { GasketTemplate } from "../gasket-template";
import type { PictureProps } from "./props";

/** The gasket as it is cut, and its template at full size as SVG or PDF. */
export function GasketPicture({ form, answer, system }: PictureProps) {
  const { inUnit } = useFigures();
  const length = unit(system === "us" ? "in" : "mm");
  const query = new URLSearchParams(form.typed).toString();
  const holes = (answer.tables.holes ?? []).map((row) => ({ x: siOf(row, "x"), y: siOf(row, "y") }));
  const shape = {
    inner: siOf(answer.outputs, "inner"),
    outer: siOf(answer.outputs, "outer"),
    hole: answer.outputs.hole === undefined ? undefined : siOf(answer.outputs, "hole"),
    holes,
  };
  return (
    <div className="grid items-center gap-4 md:grid-cols-[320px_1fr]">
      <div
        className="mx-auto w-full max-w-[320px]"
        role="img"
        aria-label={`${wordsOf(answer.outputs, "kind")}, ${inUnit(shape.outer, length)} outside, ${inUnit(shape.inner, length)} inside`}
      >
        <GasketTemplate shape={shape} plain />
      </div>
      <div>
        <p className="font-bold text-lead leading-tight">Template at full size</p>
        <p className="mt-1 text-soft">
          Print at 100 %, check the 100 mm line with a rule, lay it on the sheet.
        </p>
        <div className="no-print mt-3 flex flex-wrap gap-2">
          <a className="btn btn-go" href={`/bench/gasket-cutter/template/pdf?${query}`} download="gasket.pdf">
            <Download size={20} aria-hidden /> PDF
          </a>
          <a
            className="btn btn-quiet"
            href={`/bench/gasket-cutter/template/svg?${query}`}
            download="gasket.svg"
          >
            <Download size={20} aria-hidden /> SVG
          </a>
        </div>
      </div>
    </div>
  );
}
