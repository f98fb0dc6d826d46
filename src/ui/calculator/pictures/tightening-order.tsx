"use client";

import { useState } from "react";
import { siOf } from "@/core/calculators";
import { BoltCircle } from "../../draw/bolt-circle";
import type { PictureProps } from "./props";

/** The order as it was given, to tap through: what is pulled already, and what comes next. */
export function TighteningOrderPicture({ form, answer }: PictureProps) {
  const bolts = form.si("bolts") ?? 0;
  const order = [...new Set((answer.tables.given ?? []).map((row) => siOf(row, "bolt") - 1))];
  const [pulls, setPulls] = useState(0);
  const at = pulls % (order.length + 1);
  const more = at < order.length;
  return (
    <div className="grid items-center gap-4 md:grid-cols-[340px_1fr]">
      <BoltCircle
        bolts={bolts}
        order={order}
        passes={1}
        circular={false}
        done={(_, bolt) => bolt <= at}
        {...(more && { next: { pass: 1, bolt: at + 1 } })}
        label={`The given order on ${bolts} bolts`}
        onPull={() => setPulls(at + 1)}
      />
      <div>
        <p className="font-bold text-head leading-tight">
          {more ? `Pull ${at + 1}: bolt ${order[at]! + 1}` : "All of the order. Tap to begin again."}
        </p>
        <p className="mt-1 text-soft">
          The numbers are the order, where each bolt stands; bolt 1 is at the top.
        </p>
      </div>
    </div>
  );
}
