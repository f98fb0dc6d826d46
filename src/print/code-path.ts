import QRCode from "qrcode";

/** Modules of quiet ground round a code, as a reader needs it (ISO/IEC 18004). */
const QUIET = 4;

export interface CodePath {
  /** Dark modules as one path; a unit is one module. */
  readonly path: string;
  /** Modules across, the quiet ground counted. */
  readonly size: number;
}

/** A QR code that opens an address; it still reads with a sixth of it worn off. */
export function codePath(address: string): CodePath {
  const { modules } = QRCode.create(address, { errorCorrectionLevel: "M" });
  const rows = Array.from({ length: modules.size }, (_, y) =>
    Array.from({ length: modules.size }, (_, x) =>
      modules.get(y, x) ? `M${x + QUIET} ${y + QUIET}h1v1h-1z` : "",
    ).join(""),
  );
  return { path: rows.join(""), size: modules.size + 2 * QUIET };
}
