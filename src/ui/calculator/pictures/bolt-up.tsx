"use client";

import { useState } from "react";
import { siOf } from "@/core/calculators";
import { unit } from "@/core/quantity";
import { useFigures } from "@/ui/use-figures";
import { BoltCircle } from "../../draw/bolt-circle";
import type { PictureProps } from "./props";

const PASSES = 4;

/** The circle to try the order on: tap through it, pass by pass. */
export function BoltUpPicture({ answer, system }: PictureProps) {
  const { inUnit } = useFigures();
  const order = (answer.tables.order ?? []).map((row) => siOf(row, "bolt") - 1);
  const bolts = order.length;
  const [pulls, setPulls] = useState(0);
  const at = pulls % (bolts * PASSES + 1);
  const next =
    at === bolts * PASSES ? undefined : { pass: Math.floor(at / bolts) + 1, bolt: (at % bolts) + 1 };
  const share = next === undefined ? 1 : [0.3, 0.6, 1, 1][next.pass - 1]!;
  return (
    <div className="grid items-center gap-4 md:grid-cols-[340px_1fr]">
      <BoltCircle
        bolts={bolts}
        order={order}
        passes={PASSES}
        circular
        done={(pass, bolt) => (pass - 1) * bolts + bolt <= at}
        {...(next && { next })}
        label={`Pulling order of ${bolts} bolts`}
        onPull={() => setPulls(at + 1)}
      />
      <div>
        <p className="font-bold text-head leading-tight">
          {next === undefined
            ? "Done. Tap to begin again."
            : `Pass ${next.pass}: pull to ${inUnit(siOf(answer.outputs, "torque") * share, unit(system === "us" ? "ft·lbf" : "N·m"))}`}
        </p>
        <p className="mt-1 text-soft">
          Crosswise in three passes, then once round at full torque until no nut moves.
        </p>
        <button type="button" className="btn btn-go mt-3" onClick={() => setPulls(at + 1)}>
          {next === undefined ? "Begin again" : `Bolt ${next.bolt} done`}
        </button>
      </div>
    </div>
  );
}
