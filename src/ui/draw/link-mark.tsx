import type { LineLink } from "@/core/formats";
import type { LineView } from "../line-view";
import { useSpeaker } from "../use-speaker";
import type { Course, XY } from "./line-layout";
import { HALO, OrderNumber, Tap, TEXT } from "./mark-parts";

const flawOf = (link: LineLink, passing: ReadonlySet<string>): "seized" | "passes" | undefined => {
  if (link.kind !== "valve") return undefined;
  if (!link.operable) return "seized";
  return link.passes || passing.has(link.id) ? "passes" : undefined;
};

/** A valve, pump, check, trap or switch on its pipe. */
export function LinkMark({
  course: {
    link,
    middle: [x, y],
    angle,
  },
  view,
}: {
  course: Course;
  view: LineView;
}) {
  const words = useSpeaker().say.drawing.line;
  if (link.kind === "pipe" || link.kind === "cable") return null;
  const steep = Math.abs(Math.sin((angle * Math.PI) / 180)) > 0.7;
  const shut =
    view.shut.has(link.id) ||
    ((link.kind === "valve" || link.kind === "control-valve") && link.normally === "shut");
  const found = flawOf(link, view.passing);
  const flaw = found === undefined ? "" : words.flaws[found];
  const avoided = view.avoided.has(link.id);
  const number = view.numbered.get(link.id);
  const ink = flaw ? "var(--stop)" : "var(--ink)";
  const label: XY = steep ? [x - 19, y + 6] : [x, y - 18];
  const onTap = view.onValve && link.kind === "valve" ? () => view.onValve?.(link.id) : undefined;
  return (
    <Tap
      onTap={onTap}
      label={words[shut ? "shut" : "open"](`${link.id} ${link.name ?? ""}${flaw && ` ${flaw}`}`)}
      pressed={shut}
    >
      {onTap && <circle cx={x} cy={y} r={24} fill="transparent" />}
      {view.chosen === link.id && (
        <circle cx={x} cy={y} r={25} fill="var(--lit-bg)" stroke="var(--brass-line)" strokeWidth={2} />
      )}
      <g transform={`translate(${x} ${y}) rotate(${angle})`}>
        <LinkShape link={link} shut={shut} bad={flaw !== ""} />
      </g>
      <text x={label[0]} y={label[1]} textAnchor={steep ? "end" : "middle"} fill={ink} {...TEXT} {...HALO}>
        {link.kind === "valve" || link.kind === "control-valve" || link.kind === "pump" ? link.id : ""}
        {(flaw || avoided) && (
          <tspan x={label[0]} dy={steep ? 16 : -15} fontSize={14}>
            {flaw || words.avoid}
          </tspan>
        )}
      </text>
      {number !== undefined && <OrderNumber at={steep ? [x + 27, y] : [x, y + 27]}>{number}</OrderNumber>}
    </Tap>
  );
}

function LinkShape({ link, shut, bad }: { link: LineLink; shut: boolean; bad: boolean }) {
  const edge = bad ? "var(--stop)" : shut ? "var(--shut-edge)" : "var(--shape-edge)";
  const fill = shut ? "var(--shape-shut)" : bad ? "var(--stop-bg)" : "var(--shape)";
  const shared = { stroke: edge, strokeWidth: 2, strokeLinejoin: "round" as const };
  switch (link.kind) {
    case "check":
      return <path {...shared} fill="var(--shape)" d="M-10 -10 L10 0 L-10 10z M11 -10 V10" />;
    case "trap":
      return (
        <g>
          <path {...shared} fill="var(--shape)" d="M-11 9 V-2 a11 9 0 0 1 22 0 V9z" />
          <circle cy={2} r={3.4} fill="var(--shape-edge)" />
        </g>
      );
    case "pump":
      return (
        <g>
          <circle r={15} {...shared} fill="var(--shape)" />
          <path d="M-5 -8 L9 0 L-5 8z" fill="var(--shape-edge)" />
        </g>
      );
    case "control-valve":
      return (
        <g>
          <path {...shared} fill={fill} d="M-13 -9 L13 9 V-9 L-13 9z" />
          <path {...shared} fill="var(--shape)" d="M0 0 V-13 M-8 -13 a8 8 0 0 1 16 0z" />
        </g>
      );
    case "valve":
      return link.type === "switch" ? (
        <g>
          <rect x={-15} y={-8} width={30} height={16} fill="var(--card)" />
          <circle cx={-12} r={4} {...shared} fill={fill} />
          <circle cx={12} r={4} {...shared} fill={fill} />
          <path {...shared} d={shut ? "M-9 -2 L10 -14" : "M-8 0 H8"} />
        </g>
      ) : (
        <path {...shared} fill={fill} d="M-15 -11 L15 11 V-11 L-15 11z" />
      );
    default:
      return null;
  }
}
