import type { Margin } from "@/core/depth";

const WIDTH = 400;
const HEIGHT = 22;

/** A figure on a line from nought: where it is now, and between which turns the advice stands. */
export function MarginTrack({ margin: { now, low, high } }: { margin: Margin }) {
  const most = Math.max(now * 1.5, (high?.at ?? 0) * 1.25, Number.EPSILON);
  const x = (value: number) => (value / most) * WIDTH;
  const from = x(low?.at ?? 0);
  const to = high === undefined ? WIDTH : x(high.at);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      preserveAspectRatio="none"
      className="my-1 block h-[22px] w-full"
      aria-hidden="true"
    >
      <rect x={0} y={6} width={WIDTH} height={10} fill="var(--sunk)" />
      <rect x={from} y={6} width={Math.max(0, to - from)} height={10} fill="var(--brass-line)" />
      {[low, high].map(
        (turn) =>
          turn !== undefined && (
            <line
              key={turn.at}
              x1={x(turn.at)}
              x2={x(turn.at)}
              y1={2}
              y2={20}
              stroke="var(--stop)"
              strokeWidth={2}
            />
          ),
      )}
      <line x1={x(now)} x2={x(now)} y1={0} y2={HEIGHT} stroke="var(--ink)" strokeWidth={4} />
    </svg>
  );
}
