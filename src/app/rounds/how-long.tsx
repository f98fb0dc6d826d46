import type { HowLong } from "@/core/due-work";
import { useSpeaker } from "@/ui/use-speaker";
import { howLongWords } from "@/words";

/** How long a piece of work takes the crew that has it, or each where none has, and what that is learnt from. */
export function HowLongIt({ long, crew }: { long: HowLong; crew: string | undefined }) {
  const { takes, learnt } = howLongWords(
    useSpeaker(),
    long,
    crew === undefined ? Object.keys(long.by) : [crew],
  );
  return (
    <div>
      <dt className="caption">How long</dt>
      {takes.map((each) => (
        <dd key={each}>{each}</dd>
      ))}
      <dd className="text-soft">{learnt}</dd>
    </div>
  );
}
