const INCH = 0.0254;

type Row = readonly [
  nps: string,
  dn: number,
  outside: number,
  ten: number | undefined,
  forty: number,
  eighty: number,
  oneSixty: number | undefined,
];

/** Outside diameter and wall, inches: ASME B36.10M schedules 40, 80, 160; schedule 10S up to NPS 12 from B36.19M. */
const ROWS: readonly Row[] = [
  ["1/8", 6, 0.405, 0.049, 0.068, 0.095, undefined],
  ["1/4", 8, 0.54, 0.065, 0.088, 0.119, undefined],
  ["3/8", 10, 0.675, 0.065, 0.091, 0.126, undefined],
  ["1/2", 15, 0.84, 0.083, 0.109, 0.147, 0.188],
  ["3/4", 20, 1.05, 0.083, 0.113, 0.154, 0.219],
  ["1", 25, 1.315, 0.109, 0.133, 0.179, 0.25],
  ["1 1/4", 32, 1.66, 0.109, 0.14, 0.191, 0.25],
  ["1 1/2", 40, 1.9, 0.109, 0.145, 0.2, 0.281],
  ["2", 50, 2.375, 0.109, 0.154, 0.218, 0.344],
  ["2 1/2", 65, 2.875, 0.12, 0.203, 0.276, 0.375],
  ["3", 80, 3.5, 0.12, 0.216, 0.3, 0.438],
  ["3 1/2", 90, 4, 0.12, 0.226, 0.318, undefined],
  ["4", 100, 4.5, 0.12, 0.237, 0.337, 0.531],
  ["5", 125, 5.563, 0.134, 0.258, 0.375, 0.625],
  ["6", 150, 6.625, 0.134, 0.28, 0.432, 0.719],
  ["8", 200, 8.625, 0.148, 0.322, 0.5, 0.906],
  ["10", 250, 10.75, 0.165, 0.365, 0.594, 1.125],
  ["12", 300, 12.75, 0.18, 0.406, 0.688, 1.312],
  ["14", 350, 14, undefined, 0.438, 0.75, undefined],
  ["16", 400, 16, undefined, 0.5, 0.844, undefined],
  ["18", 450, 18, undefined, 0.562, 0.938, undefined],
  ["20", 500, 20, undefined, 0.594, 1.031, undefined],
  ["24", 600, 24, undefined, 0.688, 1.219, undefined],
];

export const SCHEDULES = ["10S", "40", "80", "160"] as const;
export type Schedule = (typeof SCHEDULES)[number];

/** Nominal sizes with both names: DN and NPS. */
export const PIPE_SIZES = ROWS.map(([nps, dn]) => ({ id: `DN${dn}`, label: `DN ${dn} · ${nps} in` }));

export interface PipeSize {
  readonly outside: number; // m
  readonly wall: number; // m
  readonly bore: number; // m
}

/** Steel pipe by "DN100" and schedule, m; nothing where the schedule does not have that size. */
export function pipeSize(id: string, schedule: Schedule): PipeSize | undefined {
  const row = ROWS.find(([, dn]) => `DN${dn}` === id);
  const wall = row?.[3 + SCHEDULES.indexOf(schedule)] as number | undefined;
  if (row === undefined || wall === undefined) return undefined;
  const outside = row[2];
  return { outside: outside * INCH, wall: wall * INCH, bore: (outside - 2 * wall) * INCH };
}
