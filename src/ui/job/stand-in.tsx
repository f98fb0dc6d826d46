"use client";

import type { Part } from "@/core/formats";
import { quantity } from "@/words";
import { useSpeaker } from "../use-speaker";

/** What goes in instead of what nobody sells any more, with its sizes. */
export function StandIn({ of }: { of: NonNullable<Part["standIn"]> }) {
  const words = useSpeaker();
  const { standIn } = words.say.card;
  return (
    <section className="card border-brass-line border-l-[6px] px-4 py-2.5" aria-label={standIn.title}>
      <h2 className="caption">{standIn.title}</h2>
      <p className="text-lead">
        <b>{of.name}.</b> <span className="text-body text-soft">{of.why}</span>
      </p>
      <ul className="flex flex-wrap gap-x-5 text-body">
        {of.sizes.map((size) => (
          <li key={size.name}>
            {size.name} <b>{quantity(words, size.nominal_mm / 1000, "length")}</b>
          </li>
        ))}
        {of.hottest_C !== undefined && <li>{standIn.bears(of.hottest_C)}</li>}
      </ul>
      {(of.besides ?? []).length > 0 && (
        <p className="text-note text-soft">{standIn.besides(words.say.common.commas(of.besides ?? []))}</p>
      )}
      {of.make !== undefined && <p className="text-note text-soft">{of.make}</p>}
    </section>
  );
}
