import { BAR, gapsOf, type JobRecord } from "@/core/job";
import { formatDuration } from "@/core/quantity";
import { type Speaker, stepTitle, traceEntry, traceFigure } from "@/words";
import { TracePicture } from "../draw/trace-picture";

type Judged = JobRecord["traces"][number];

/** What an instrument showed over a time, with the bound it was judged by. @param zero_bar of the sheet */
export function KeptTrace({
  words,
  judged: { trace, verdict },
  zero_bar,
}: {
  words: Speaker;
  judged: Judged;
  zero_bar: number;
}) {
  return (
    <TracePicture
      trace={trace}
      gaps={gapsOf(trace)}
      bound={verdict.kind === "standing" ? zero_bar * BAR : undefined}
      figure={(si) => traceFigure(words, trace, si)}
      time={formatDuration}
      label={`${trace.with.name}, ${traceEntry(words, trace)}`}
    />
  );
}

/** All that was kept, drawn; the pulls of a wrench are told in words. */
export function KeptTraces({
  words,
  traces,
  zero_bar,
}: {
  words: Speaker;
  traces: readonly Judged[];
  zero_bar: number;
}) {
  const drawn = traces.filter(({ verdict }) => verdict.kind !== "pull");
  if (drawn.length === 0) return null;
  return (
    <div className="mt-5 grid gap-5 md:grid-cols-2 print:grid-cols-2">
      {drawn.map((judged) => (
        <figure key={judged.trace.event} className="break-inside-avoid">
          <figcaption className="mb-1">
            {stepTitle(words, judged.step)}{" "}
            <span className="text-note text-soft">{judged.trace.with.name}</span>
          </figcaption>
          <KeptTrace words={words} judged={judged} zero_bar={zero_bar} />
        </figure>
      ))}
    </div>
  );
}
