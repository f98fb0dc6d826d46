import { Minus, Plus } from "lucide-react";

/** How many there are: counted up and down with large buttons. */
export function Counter({
  label,
  count,
  most,
  onCount,
}: {
  label: string;
  count: number;
  most?: number;
  onCount: (count: number) => void;
}) {
  const button = "btn btn-quiet size-14 px-0";
  return (
    <div className="card flex items-center justify-between gap-3 px-4 py-2.5">
      <span className="font-semibold text-lead">{label}</span>
      <span className="flex items-center gap-2">
        <button
          type="button"
          aria-label={`${label}: one less`}
          className={button}
          disabled={count <= 0}
          onClick={() => onCount(count - 1)}
        >
          <Minus size={22} />
        </button>
        <output aria-live="polite" className="plate min-w-14 text-center text-figure">
          {count}
        </output>
        <button
          type="button"
          aria-label={`${label}: one more`}
          className={button}
          disabled={most !== undefined && count >= most}
          onClick={() => onCount(count + 1)}
        >
          <Plus size={22} />
        </button>
      </span>
    </div>
  );
}
