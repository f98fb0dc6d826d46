"use client";

import { X } from "lucide-react";
import type { Part, Sheet } from "@/core/formats";
import { useFigures } from "@/ui/use-figures";
import { endWords, limitWords } from "@/words";
import { PartIcon } from "./draw/part";
import { useSpeaker } from "./use-speaker";

/** What the sheet says of one part: what holds it, what goes on it, how far it is tightened, its limits. */
export function PartCard({ part, sheet, onClose }: { part: Part; sheet: Sheet; onClose: () => void }) {
  const { quantity } = useFigures();
  const words = useSpeaker();
  const name = (id: string) => sheet.parts.find((each) => each.id === id)?.name ?? id;
  const supply = (id: string) => sheet.supplies.find((each) => each.id === id)?.name ?? id;
  const held = [...new Set(part.ways.flatMap((way) => way.heldBy))];
  const limits = sheet.checks.filter((check) => check.part === part.id);
  const { surface, thread, end } = part.fit ?? {};
  const odd = part.pieces?.find((piece) => piece.odd !== undefined);
  const limit = end?.kind === "torque" ? end.maximum_Nm : undefined;
  return (
    <section
      aria-label={part.name}
      className="max-h-[48%] overflow-y-auto border-rule border-t-[1.5px] bg-sunk p-3 text-note"
    >
      <div className="flex items-start gap-3">
        <PartIcon part={part} size={52} />
        <div className="flex-1">
          <b className="text-body">{part.name}</b>
          <span className="block text-soft">
            {part.quantity > 1 ? `${part.quantity} pieces, ` : ""}
            {part.material}
            {part.fastener ? `, ${part.fastener.thread}, ${part.fastener.drive}` : ""}
          </span>
        </div>
        <button
          type="button"
          aria-label="Close"
          onClick={onClose}
          className="grid size-11 place-items-center"
        >
          <X size={20} />
        </button>
      </div>
      <ul className="mt-2 list-disc space-y-1 pl-5">
        {part.stays && <li>Stays in place.</li>}
        {held.length > 0 && <li>Held by {held.map(name).join(", ")}.</li>}
        {surface?.kind === "lubricate" && (
          <li>
            {supply(surface.with)} on {surface.where}.
          </li>
        )}
        {surface?.kind === "dry" && <li>Stays dry. {surface.why}</li>}
        {thread !== undefined && (
          <li>
            {thread.kind === "dry"
              ? `Thread dry. ${thread.why}`
              : `${supply(thread.with)} on the thread. ${thread.why}`}
          </li>
        )}
        {end !== undefined && (
          <li>
            Goes back {endWords(words, end)}
            {limit !== undefined && `, never above ${quantity(limit, "torque")}`}.
          </li>
        )}
        {part.fit?.orientation && <li>Which way: {part.fit.orientation}.</li>}
        {part.weight_kg !== undefined && <li>Weighs {quantity(part.weight_kg, "mass")}.</li>}
        {part.loaded && <li>Under load: {part.loaded}</li>}
        {part.dryByDesign && <li>Dry by design: {part.dryByDesign}.</li>}
        {odd !== undefined && (
          <li>
            The odd piece, {odd.name.toLowerCase()}: {odd.odd}.
          </li>
        )}
        {part.oneUse && <li>Used once: {part.oneUse}</li>}
        {part.keep && <li>Keep: {part.keep}</li>}
        {part.features?.map((feature) => (
          <li key={feature.name}>
            Told by its {feature.name}: {feature.value}.
          </li>
        ))}
        {part.lookAlikes?.map((alike) => (
          <li key={alike.name} className="text-stop">
            Not {alike.name} ({alike.features.map((each) => each.value).join(", ")}). {alike.why}
          </li>
        ))}
        {limits.map((check) => (
          <li key={check.id}>
            {check.ask}
            {check.kind === "measure" && ` ${limitWords(words, check)}.`}
          </li>
        ))}
      </ul>
    </section>
  );
}
