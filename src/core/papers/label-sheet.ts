/** A sheet of labels, or a roll of single ones: all in mm. */
export interface LabelSheet {
  readonly id: string;
  readonly name: string;
  readonly width_mm: number;
  readonly height_mm: number;
  readonly columns: number;
  readonly rows: number;
  readonly label: { readonly width_mm: number; readonly height_mm: number };
  /** Corner of the first label, from the left and from above. */
  readonly first: { readonly x_mm: number; readonly y_mm: number };
  /** From one label to the next. */
  readonly pitch: { readonly x_mm: number; readonly y_mm: number };
}

/** A grid in the middle of a paper. */
function grid(
  id: string,
  name: string,
  [width_mm, height_mm]: readonly [number, number],
  [columns, rows]: readonly [number, number],
  label: LabelSheet["label"],
  gap_mm: readonly [number, number] = [0, 0],
): LabelSheet {
  const pitch = { x_mm: label.width_mm + gap_mm[0], y_mm: label.height_mm + gap_mm[1] };
  return {
    id,
    name,
    width_mm,
    height_mm,
    columns,
    rows,
    label,
    pitch,
    first: {
      x_mm: (width_mm - (columns * pitch.x_mm - gap_mm[0])) / 2,
      y_mm: (height_mm - (rows * pitch.y_mm - gap_mm[1])) / 2,
    },
  };
}

const roll = (width_mm: number, height_mm: number): LabelSheet =>
  grid(
    `roll-${width_mm}x${height_mm}`,
    `Roll, ${width_mm} × ${height_mm} mm, one by one`,
    [width_mm, height_mm],
    [1, 1],
    { width_mm, height_mm },
  );

/** ISO 216 and ANSI/ASME Y14.1 papers. */
const A4 = [210, 297] as const;
const LETTER = [215.9, 279.4] as const;

/** Sheets and rolls that labels come on. */
export const LABEL_SHEETS: readonly LabelSheet[] = [
  grid("a4-24", "A4, 24 labels of 70 × 37 mm", A4, [3, 8], { width_mm: 70, height_mm: 37 }),
  grid("a4-10", "A4, 10 labels of 99.1 × 57 mm", A4, [2, 5], { width_mm: 99.1, height_mm: 57 }, [2.5, 0]),
  grid(
    "letter-30",
    "Letter, 30 labels of 66.7 × 25.4 mm",
    LETTER,
    [3, 10],
    { width_mm: 66.7, height_mm: 25.4 },
    [3, 0],
  ),
  grid(
    "letter-10",
    "Letter, 10 labels of 101.6 × 50.8 mm",
    LETTER,
    [2, 5],
    { width_mm: 101.6, height_mm: 50.8 },
    [4.8, 0],
  ),
  roll(62, 29),
  roll(89, 36),
];

export interface LabelPlace {
  readonly page: number;
  readonly x_mm: number;
  readonly y_mm: number;
}

/** Where a label lies: row by row, page by page. @param index from 0, places that are used up counted */
export function labelPlace({ columns, rows, first, pitch }: LabelSheet, index: number): LabelPlace {
  const page = Math.floor(index / (columns * rows));
  const at = index % (columns * rows);
  return {
    page,
    x_mm: first.x_mm + (at % columns) * pitch.x_mm,
    y_mm: first.y_mm + Math.floor(at / columns) * pitch.y_mm,
  };
}
