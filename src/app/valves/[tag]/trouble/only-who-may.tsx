"use client";

import { COMPETENCE_NAMES } from "@/app/crew/competence-names";
import type { Look } from "@/core/formats";
import { useSettings } from "@/ui/settings";
import type { TroubleInHand } from "./use-trouble";

/** Looks that whoever is here may not do, and who of the crew may: with one of them there they are asked again. */
export function OnlyWhoMay({
  trouble: { whoMay, beside },
  looks,
}: {
  trouble: TroubleInHand;
  looks: readonly Look[];
}) {
  const { who } = useSettings();
  const asked = [...new Set(looks.flatMap(({ may }) => may ?? []))];
  const names = [...new Set(looks.flatMap(({ id }) => whoMay(id)))];
  return (
    <div role="note" className="rounded border-wait border-l-[6px] bg-wait-bg px-4 py-3">
      <p>
        <b>Only who may work on {asked.map((may) => COMPETENCE_NAMES[may].toLowerCase()).join(", ")}:</b>{" "}
        {looks.map(({ ask }) => ask).join(" ")}
      </p>
      <p className="mt-1">
        {who === "" ? "Nobody has said who is here." : `${who} may not.`}{" "}
        {names.length === 0
          ? "Nobody of the crew has the paper: leave it, and call somebody who has."
          : "Is one of them there?"}
      </p>
      <div className="mt-2 flex flex-wrap gap-2">
        {names.map((name) => (
          <button key={name} type="button" className="btn btn-quiet min-h-12" onClick={() => beside(name)}>
            {name} is here
          </button>
        ))}
      </div>
    </div>
  );
}
