import { row } from "../table";

/** Tells a figure beside what is to be reached. */
export const telling =
  (bench: string) =>
  (what: string, measured: string, reach?: string, ratio?: string): void => {
    console.log(`${what.padEnd(64)} ${measured}${reach === undefined ? "" : ` (reach ${reach})`}`);
    row({ bench, what, measured, ...(reach && { reach }), ...(ratio && { ratio }) });
  };
