import type { LineLink, LineNode, Medium } from "@/core/formats";
import type { PipeState } from "@/core/line";
import { useSpeaker } from "../use-speaker";

/** What runs in it, as far as the drawing tells it apart. */
export type PipeKind = "liquid" | "hot" | "vapour" | "electric";

const VAPOURS: readonly Medium[] = ["steam", "gas", "air"];

/** The kind of a link towards one of its ends; a link that names no stream takes that of the end. */
export function pipeKind(medium: Medium, link: LineLink, end?: LineNode): PipeKind {
  const own = link.medium ?? (link.kind === "trap" ? end?.medium : undefined) ?? medium;
  const stream = link.stream ?? end?.stream;
  if (own === "electricity") return "electric";
  if (stream === "hot" || stream === "hot-gas") return "hot";
  return stream === "suction" || VAPOURS.includes(own) ? "vapour" : "liquid";
}

const LIVE: Record<Exclude<PipeKind, "electric">, { body: string; mark: string; dash: string }> = {
  liquid: { body: "var(--live)", mark: "var(--live-mark)", dash: "9 15" },
  hot: { body: "var(--live-hot)", mark: "var(--live-mark)", dash: "2 9" },
  vapour: { body: "var(--live-vapour)", mark: "var(--live-mark)", dash: "18 5 3 5" },
};

/** One half of a link: its state by colour and by pattern. */
export function Pipe({ course, state, kind }: { course: string; state: PipeState; kind: PipeKind }) {
  const shared = { d: course, fill: "none", strokeLinejoin: "round" as const };
  if (kind === "electric")
    return (
      <path
        {...shared}
        stroke={state === "live" ? "var(--ink)" : "var(--edge)"}
        strokeWidth={3}
        strokeDasharray={state === "live" ? undefined : "2 6"}
      />
    );
  switch (state) {
    case "live": {
      const { body, mark, dash } = LIVE[kind];
      return (
        <g>
          <path {...shared} stroke="var(--draw)" strokeWidth={10.5} />
          <path {...shared} stroke={body} strokeWidth={7.5} />
          <path {...shared} stroke={mark} strokeWidth={2} strokeDasharray={dash} />
        </g>
      );
    }
    case "shut-in":
      return (
        <g>
          <path {...shared} stroke="var(--ink-runs-out)" strokeWidth={10.5} />
          <path {...shared} stroke="var(--ink-runs-out-pale)" strokeWidth={7.5} />
          <path
            {...shared}
            stroke="var(--ink-runs-out)"
            strokeWidth={7}
            strokeDasharray="2 7"
            className="runs-out"
          />
        </g>
      );
    case "dead":
      return (
        <g>
          <path {...shared} stroke="var(--draw-edge)" strokeWidth={10.5} />
          <path {...shared} stroke="var(--pipe-empty)" strokeWidth={7.5} />
        </g>
      );
    case "unknown":
      return (
        <g>
          <path {...shared} stroke="var(--stop)" strokeWidth={10.5} />
          <path {...shared} stroke="var(--card)" strokeWidth={7.5} />
          <path {...shared} stroke="var(--stop)" strokeWidth={4} strokeDasharray="5 5" />
        </g>
      );
  }
}

/** What the patterns mean, for the kinds and states that this drawing shows. */
export function PipeKey({ kinds, unknown = false }: { kinds: ReadonlySet<PipeKind>; unknown?: boolean }) {
  const words = useSpeaker().say.drawing.pipes;
  const swatches: { key: string; state: PipeState; kind: PipeKind; says: string }[] = [
    ...(["liquid", "hot", "vapour", "electric"] as const)
      .filter((kind) => kinds.has(kind))
      .map((kind) => ({ key: kind, state: "live" as const, kind, says: words.kinds[kind] })),
    ...(["shut-in", "dead", ...(unknown ? (["unknown"] as const) : [])] as const).map((state) => ({
      key: state,
      state,
      kind: "liquid" as const,
      says: words.states[state],
    })),
  ];
  return (
    <ul className="plate flex flex-wrap gap-x-4 gap-y-1 text-note text-soft">
      {swatches.map(({ key, state, kind, says }) => (
        <li key={key} className="flex items-center gap-2">
          <svg width={38} height={14} aria-hidden="true">
            <Pipe course="M0 7H38" state={state} kind={kind} />
          </svg>
          {says}
        </li>
      ))}
    </ul>
  );
}
