import type { HowLong } from "@/core/due-work";
import { formatDuration } from "@/core/quantity";

const lasts = (min: number) => formatDuration(Math.round(min) * 60);
const jobs = (count: number) => (count === 1 ? "1 job" : `${count} jobs`);

/** How long a piece of work takes a crew, and what that is learnt from; each crew where none has it. */
export function HowLongIt({ long, crew }: { long: HowLong; crew: string | undefined }) {
  const crews = crew === undefined ? Object.keys(long.by) : [crew];
  return (
    <div>
      <dt className="caption">How long</dt>
      {crews.flatMap((each) => {
        const taken = long.by[each];
        return taken === undefined
          ? []
          : [
              <dd key={each}>
                {crew === undefined && `${each}: `}
                {lasts(taken.half)} half the time, {lasts(taken.most)} or less four times of five.{" "}
                <span className="text-soft">
                  Compiled {lasts(long.compiled)};{" "}
                  {long.jobs + taken.jobs === 0
                    ? "no such job was signed before this week, so it may well take longer."
                    : `corrected by ${jobs(long.jobs)} of its kind and ${jobs(taken.jobs)} of this crew.`}
                </span>
              </dd>,
            ];
      })}
    </div>
  );
}
