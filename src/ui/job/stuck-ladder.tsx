import clsx from "clsx";
import { stuckLadder } from "@/core/build";
import type { Part, Sheet } from "@/core/formats";
import { stuckWords } from "@/words";
import { useSpeaker } from "../use-speaker";

/** What to try when it will not move, rung by rung, and where this material says stop. */
export function StuckLadder({ part, sheet, noShock }: { part: Part; sheet: Sheet; noShock: boolean }) {
  const words = useSpeaker();
  return (
    <details className="group">
      <summary className="min-h-12 cursor-pointer content-center px-1 text-soft underline underline-offset-4">
        {words.say.card.willNotMove}
      </summary>
      <ol className="card mt-1 overflow-hidden">
        {stuckLadder(part, sheet, noShock).map((rung, index) => {
          const said = stuckWords(words, rung);
          return (
            <li
              key={rung.rung}
              className={clsx(
                "grid grid-cols-[34px_1fr] gap-2 border-rule px-3 py-2 not-last:border-b",
                rung.stop && "bg-stop-bg",
              )}
            >
              <span className="plate text-center text-lead">{index + 1}</span>
              <span>
                <b>{said.name}.</b> {said.do}
              </span>
            </li>
          );
        })}
      </ol>
    </details>
  );
}
