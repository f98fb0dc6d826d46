import { type JobRecord, PHASE_NAMES } from "@/core/job";
import { formatDuration } from "@/core/quantity";
import { Day } from "@/ui/when";

/** Everything that was entered, in order. */
export function LogTable({ lines }: { lines: JobRecord["lines"] }) {
  return (
    <section className="mt-5">
      <h2 className="caption">Everything, in order</h2>
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
            {lines.map((line, index) => (
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
                      clock {formatDuration(Math.abs(line.off_s))} {line.off_s > 0 ? "ahead" : "behind"}, put
                      right
                    </small>
                  )}
                </td>
                <td className="pr-3">{line.phase === undefined ? "" : PHASE_NAMES[line.phase]}</td>
                <td className="pr-3">{line.what}</td>
                <td className="pr-3">{line.entry}</td>
                <td>{line.by}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}
