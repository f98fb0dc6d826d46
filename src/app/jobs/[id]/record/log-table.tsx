import { Folded } from "@/ui/kit/folded";
import { PaperTable } from "@/ui/paper/blocks";
import type { PaperBlock } from "@/words";

/** Everything that was entered, in order. */
export function LogTable({ block }: { block: Extract<PaperBlock, { kind: "table" }> }) {
  return (
    <section className="mt-5">
      <Folded title={block.title} says={`${block.rows.length} entries`}>
        <div className="overflow-x-auto text-fine" tabIndex={0} role="group" aria-label="Log, entry by entry">
          <PaperTable block={block} />
        </div>
      </Folded>
    </section>
  );
}
