import { benchTitle } from "@/core/calculators";
import type { Sheet } from "@/core/formats";
import { foldLog, type JobRecord } from "@/core/job";
import { formatDuration } from "@/core/quantity";
import { Folded } from "@/ui/kit/folded";
import { Day } from "@/ui/when";
import { entryWords, type Speaker } from "@/words";

/** Everything that was entered, in order. */
export function LogTable({
  lines,
  sheet,
  words,
}: {
  lines: JobRecord["lines"];
  sheet: Sheet;
  words: Speaker;
}) {
  return (
    <section className="mt-5">
      <Folded title="Everything, in order" says={`${lines.length} entries`}>
        <div className="overflow-x-auto" tabIndex={0} role="group" aria-label="Log, entry by entry">
          <table className="mt-1 w-full text-left text-fine">
            <thead>
              <tr className="border-rule border-b-[1.5px]">
                <th className="py-1 pr-3 font-semibold">When</th>
                <th className="pr-3 font-semibold">Phase</th>
                <th className="pr-3 font-semibold">What</th>
                <th className="pr-3 font-semibold">Entry</th>
                <th className="font-semibold">Who</th>
              </tr>
            </thead>
            <tbody>
              {foldLog(lines).map(({ first: line, count }, index) => {
                const { what, entry } = entryWords(words, line, sheet, benchTitle);
                return (
                  <tr key={index} className="border-rule border-b align-top">
                    <td className="whitespace-nowrap py-1 pr-3">
                      <Day at={line.at} time />
                      {line.storedAt !== undefined && (
                        <small className="block text-soft">
                          without signal; stored <Day at={line.storedAt} time />
                        </small>
                      )}
                      {line.off_s !== undefined && (
                        <small className="block text-soft">
                          clock {formatDuration(Math.abs(line.off_s))} {line.off_s > 0 ? "ahead" : "behind"},
                          put right
                        </small>
                      )}
                    </td>
                    <td className="pr-3">{line.step && words.say.common.phases[line.step.phase]}</td>
                    <td className="pr-3">{what}</td>
                    <td className="pr-3">{count === 1 ? entry : words.say.entries.folded(entry, count)}</td>
                    <td>{line.by}</td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </div>
      </Folded>
    </section>
  );
}
