import { onCircle } from "./round";

/** A pointer on its dial, degrees clockwise from the top. */
export function DialPicture({ at_deg }: { at_deg: number }) {
  const turn = ((at_deg - 90) * Math.PI) / 180;
  const [x, y] = onCircle(36, 36, 24, turn);
  const wings = [0.5, -0.5].map((side) => onCircle(x, y, 11, turn + Math.PI + side));
  return (
    <svg
      width={72}
      height={72}
      viewBox="0 0 72 72"
      aria-hidden="true"
      className="shrink-0 rounded-full bg-card"
    >
      <circle cx={36} cy={36} r={32} fill="var(--ink-plastic)" stroke="var(--draw)" strokeWidth={1.4} />
      {Array.from({ length: 12 }, (_, hour) => {
        const angle = (hour * Math.PI) / 6;
        return (
          <path
            key={hour}
            d={`M${onCircle(36, 36, 28, angle).join()}L${onCircle(36, 36, 32, angle).join()}`}
            stroke="var(--draw)"
          />
        );
      })}
      <path
        d={`M36 36L${x} ${y}${wings.map((wing) => `M${x} ${y}L${wing.join()}`).join("")}`}
        stroke="var(--ink)"
        strokeWidth={4}
        strokeLinecap="round"
        fill="none"
      />
      <circle cx={36} cy={36} r={5} fill="var(--ink)" />
    </svg>
  );
}
