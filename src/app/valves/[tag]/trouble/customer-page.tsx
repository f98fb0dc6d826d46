"use client";

import type { Sheet, Trouble, TroubleFacts } from "@/core/formats";
import { type Advice, outlook } from "@/core/trouble";
import { PaperBlocks } from "@/ui/paper/blocks";
import { useSpeaker } from "@/ui/use-speaker";
import { troubleBlocks } from "@/words";

/** What one tells the customer of a case: it is read on the screen, or printed. */
export function CustomerPage({
  knowledge,
  facts,
  advice,
  answers,
  sheet,
  end,
  done = false,
}: {
  knowledge: Trouble;
  facts: TroubleFacts;
  advice: Advice;
  answers: ReadonlyMap<string, string>;
  sheet: Sheet;
  /** That it came to; what is advised when absent. */
  end?: string;
  /** It was done, and works again. */
  done?: boolean;
}) {
  const words = useSpeaker();
  const told = outlook(knowledge, facts, advice, end);
  const parts = Object.keys(facts.costs?.[told.will.end]?.parts ?? {}).map(
    (id) => sheet.parts.find((part) => part.id === id)?.name ?? id,
  );
  return (
    <div className="grid gap-x-8 gap-y-5 md:grid-cols-2 print:grid-cols-2">
      <PaperBlocks
        blocks={troubleBlocks(words, { knowledge, outlook: told, answers, parts, done })}
        photoAt={() => ""}
      />
    </div>
  );
}
