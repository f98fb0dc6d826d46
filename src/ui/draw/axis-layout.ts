import type { Part } from "@/core/formats";
import { partRoom } from "./part";
import { stackHeight } from "./stack";

/** How the axis is laid: one column with the branches below, or the branches beside it. */
export type AxisForm = "narrow" | "wide";

/** A part in its row: where it is drawn, where its label stands. Rows of a column never meet. */
export interface AxisRow {
  readonly part: Part;
  /** Centre line, px. */
  readonly x: number;
  /** Top of the drawing, px. */
  readonly y: number;
  /** The row, px: the label and the drawing lie inside. */
  readonly top: number;
  readonly foot: number;
  readonly left: number;
  readonly right: number;
  readonly labelX: number;
  /** Labels of a left branch stand left of it, so that the line that joins it meets none. */
  readonly anchor: "start" | "end";
  readonly name: readonly string[];
}

export interface AxisLayout {
  readonly width: number;
  readonly height: number;
  /** px per mm. */
  readonly scale: number;
  readonly rows: readonly AxisRow[];
  /** Centre lines, the main one first, and the lines that join the branches to it. */
  readonly lines: readonly string[];
  /** Headings over branches that stand below. */
  readonly headings: readonly { readonly side: "left" | "right"; readonly x: number; readonly y: number }[];
}

export const COLUMN = 280;
const CENTRE = 88;
const LABEL = 166;
export const HALF = 62;
const GAP = 16;
const LEAST_PITCH = 42;
const LINE = 15;
/** Characters of a label line that fit beside a part. */
const LABEL_CHARS = 15;
const HEADING = 26;

export const across = (part: Part): number => Math.max(part.shape.diameter_mm, part.fastener?.circle_mm ?? 0);

/** The count stays with its sign on one line. */
const named = (part: Part) => (part.quantity > 1 ? `${part.name} ×\u00a0${part.quantity}` : part.name);

export function layAxis(parts: readonly Part[], form: AxisForm): AxisLayout {
  const scale = (2 * HALF) / Math.max(1, ...parts.map(across));
  const of = (side: "left" | "right" | "axis") =>
    parts.filter((part) => (part.shape.side ?? "axis") === side);
  const [main, left, right] = [of("axis"), of("left"), of("right")];
  return form === "wide" ? beside(main, left, right, scale) : below(main, left, right, scale);
}

/** Branches left and right of the axis, each joined to the body. */
function beside(
  main: readonly Part[],
  left: readonly Part[],
  right: readonly Part[],
  scale: number,
): AxisLayout {
  const shift = left.length > 0 ? COLUMN : 0;
  const rows = column(main, scale, shift, GAP);
  const joint = jointOf(rows);
  const branch = (parts: readonly Part[], at: number, mirrored = false) => {
    const tall = columnHeight(parts, scale);
    return column(parts, scale, at, Math.max(GAP, joint - tall / 2), mirrored);
  };
  const branches = [
    left.length > 0 ? branch(left, 0, true) : [],
    right.length > 0 ? branch(right, shift + COLUMN) : [],
  ];
  const all = [...rows, ...branches.flat()];
  const height = footOf(all) + GAP;
  return {
    width: shift + COLUMN + (right.length > 0 ? COLUMN : 0),
    height,
    scale,
    rows: all,
    lines: [
      `M${shift + CENTRE} 4 V${height - 4}`,
      ...branches
        .filter((each) => each.length > 0)
        .map((each) => {
          const x = each[0]!.x;
          return `M${shift + CENTRE} ${joint} H${x} M${x} ${Math.min(joint, each[0]!.top)} V${Math.max(joint, footOf(each))}`;
        }),
    ],
    headings: [],
  };
}

/** One column: the branches follow below, each led there by a line from the body. */
function below(
  main: readonly Part[],
  left: readonly Part[],
  right: readonly Part[],
  scale: number,
): AxisLayout {
  const rows = column(main, scale, 0, GAP);
  const joint = jointOf(rows);
  const all = [...rows];
  const lines = [`M${CENTRE} 4 V${footOf(rows) + GAP / 2}`];
  const headings: { side: "left" | "right"; x: number; y: number }[] = [];
  for (const [index, parts] of [left, right].entries()) {
    if (parts.length === 0) continue;
    const top = footOf(all) + GAP;
    const rail = 8 + index * 6;
    headings.push({
      side: index === 0 ? "left" : "right",
      x: rail + 14,
      y: top + 16,
    });
    const branch = column(parts, scale, 0, top + HEADING);
    all.push(...branch);
    const foot = footOf(branch);
    lines.push(
      `M${CENTRE} ${joint} H${rail} V${top + 11} H${rail + 10}`,
      `M${CENTRE} ${top + HEADING} V${foot}`,
    );
  }
  return { width: COLUMN, height: footOf(all) + GAP, scale, rows: all, lines, headings };
}

const footOf = (rows: readonly AxisRow[]) => Math.max(0, ...rows.map((row) => row.foot));

/** Just under the fixed body, in the gap where nothing is drawn. */
function jointOf(rows: readonly AxisRow[]): number {
  const body = rows.find((row) => row.part.stays === true) ?? rows[Math.floor(rows.length / 2)];
  return (body?.foot ?? GAP) + GAP / 2;
}

const columnHeight = (parts: readonly Part[], scale: number) =>
  parts.reduce((sum, part) => sum + pitchOf(part, scale) + GAP, 0);

function roomOf(part: Part, scale: number): number {
  return part.pieces === undefined ? partRoom(part, scale) : stackHeight(part, scale);
}

/** Room for the drawing or for the label with its note, whichever is taller. */
const pitchOf = (part: Part, scale: number): number =>
  Math.max(roomOf(part, scale), LEAST_PITCH, wrap(named(part)).length * LINE + LINE + 6);

function column(
  parts: readonly Part[],
  scale: number,
  left: number,
  from: number,
  mirrored = false,
): AxisRow[] {
  const place = (x: number) => left + (mirrored ? COLUMN - x : x);
  let next = from;
  return parts.map((part) => {
    const pitch = pitchOf(part, scale);
    const top = next;
    next += pitch + GAP;
    const lead = part.pieces === undefined ? (across(part) / 2) * scale * 0.2 : 0;
    return {
      part,
      x: place(CENTRE),
      y: top + (pitch - roomOf(part, scale)) / 2 + lead,
      top,
      foot: top + pitch,
      left: left + 2,
      right: left + COLUMN - 2,
      labelX: place(LABEL),
      anchor: mirrored ? "end" : "start",
      name: wrap(named(part)),
    };
  });
}

/** A name in lines that fit; a word that is too long is cut with a hyphen. */
export function wrap(text: string, most = LABEL_CHARS): string[] {
  const words = text.split(" ").flatMap((word) => {
    const cut: string[] = [];
    for (let rest = word; rest.length > 0; rest = rest.slice(most - 1))
      if (rest.length <= most) {
        cut.push(rest);
        break;
      } else cut.push(`${rest.slice(0, most - 1)}-`);
    return cut;
  });
  const lines: string[] = [];
  for (const word of words) {
    const last = lines.at(-1);
    if (last !== undefined && last.length + 1 + word.length <= most)
      lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines;
}
