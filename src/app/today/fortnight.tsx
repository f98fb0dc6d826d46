import { CREW_HOURS, type DayOfWork } from "@/core/rounds";

/** Hours due on each of the next fourteen days, against what one crew can do. */
export function Fortnight({ days }: { days: readonly DayOfWork[] }) {
  const most = Math.max(CREW_HOURS * 1.2, ...days.map((day) => day.hours));
  const y = (hours: number) => 112 - (hours / most) * 100;
  return (
    <svg
      viewBox="0 0 310 136"
      className="w-full"
      role="img"
      aria-label={`Hours due by day: ${days.map((day) => Math.round(day.hours)).join(", ")}`}
    >
      {days.map((day, index) => {
        const x = 4 + index * 22;
        const name = new Date(day.at).toLocaleDateString("en", { weekday: "narrow" });
        return (
          <g key={day.at}>
            {day.hours > 0 && (
              <rect
                x={x}
                y={y(day.hours)}
                width={17}
                height={112 - y(day.hours)}
                fill={day.over ? "var(--ink-over)" : index === 0 ? "var(--ink-rope-due)" : "var(--ink-under)"}
                stroke="var(--draw)"
                strokeWidth={1.2}
              />
            )}
            <text x={x + 8.5} y={130} textAnchor="middle" className="plate" fontSize={14} fill="var(--soft)">
              {name}
            </text>
          </g>
        );
      })}
      <path d={`M0 ${y(CREW_HOURS)}H310`} stroke="var(--stop)" strokeDasharray="5 4" strokeWidth={1.4} />
      <text x={308} y={y(CREW_HOURS) - 5} textAnchor="end" className="plate" fontSize={14} fill="var(--stop)">
        one crew, {CREW_HOURS} h
      </text>
    </svg>
  );
}
