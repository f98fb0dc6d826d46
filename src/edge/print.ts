import { type DecimalMark, notationOf, type UnitSystem } from "@/core/quantity";
import { err, ok, type Result } from "@/core/result";
import { onPaper } from "@/server/heavy/pool";
import type { PaperSize, PaperTask, PrintTask } from "@/server/papers/print-task";
import { type Speaker, speaker } from "@/words";
import { pdfAnswer } from "./files";
import { type Refusal, refusal, refused } from "./problem";

/** How a paper is asked for. */
export interface Printing {
  readonly size?: PaperSize;
  readonly units?: UnitSystem;
  readonly mark?: DecimalMark;
  readonly zone?: string;
}

export const speakerFor = ({ units, mark }: Printing): Speaker => speaker(notationOf(units, mark));

/** A paper, printed as it was asked for. */
export async function printed(
  asked: Pick<PaperTask, "paper" | "job" | "sections"> & Partial<Pick<PaperTask, "photos">>,
  { size = "A4", zone, units, mark }: Printing,
): Promise<Result<Response, Refusal>> {
  const known = zone ?? Intl.DateTimeFormat().resolvedOptions().timeZone;
  try {
    Intl.DateTimeFormat("en", { timeZone: known });
  } catch {
    return err(
      refusal(422, "Not valid", [
        { path: "?/zone", message: `"${known}" is no zone. Name it as IANA does, as in Europe/Oslo.` },
      ]),
    );
  }
  return onPaperOr503(
    { kind: "paper", photos: {}, size, zone: known, notation: notationOf(units, mark), ...asked },
    `${asked.paper.plate} ${asked.paper.title}`,
  );
}

/** The PDF of a task under a name; refused while too many wait before it. */
export async function onPaperOr503(task: PrintTask, name: string): Promise<Result<Response, Refusal>> {
  const bytes = await onPaper(task);
  return bytes.ok
    ? ok(pdfAnswer(bytes.value, name))
    : err(refused(503, "Not printed", "Many papers wait to be printed. Ask again in a minute."));
}
