/** A trend at a glance: the band that is right, the last value marked. */
export function Sparkline({
  values,
  low,
  high,
  label,
}: {
  values: readonly number[];
  low?: number;
  high?: number;
  label: string;
}) {
  const W = 150;
  const H = 40;
  if (values.length < 2) return <span className="text-soft text-fine">too few readings</span>;
  const all = [...values, ...(low === undefined ? [] : [low]), ...(high === undefined ? [] : [high])];
  const [least, most] = [Math.min(...all), Math.max(...all)];
  const y = (value: number) =>
    most === least ? H / 2 : H - 5 - ((value - least) / (most - least)) * (H - 10);
  const x = (index: number) => 6 + (index * (W - 12)) / (values.length - 1);
  const last = values.at(-1)!;
  return (
    <svg width={W} height={H} role="img" aria-label={label}>
      {low !== undefined && (
        <rect x={0} y={y(low)} width={W} height={Math.max(2, H - y(low))} fill="var(--stop-bg)" />
      )}
      {high !== undefined && (
        <rect x={0} y={0} width={W} height={Math.max(2, y(high))} fill="var(--stop-bg)" />
      )}
      <polyline
        points={values.map((value, index) => `${x(index)},${y(value)}`).join(" ")}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={2}
        strokeLinejoin="round"
      />
      <circle
        cx={x(values.length - 1)}
        cy={y(last)}
        r={4.5}
        fill="var(--ink-lit-deep)"
        stroke="var(--ink)"
        strokeWidth={1.4}
      />
    </svg>
  );
}
