import type { PrintTask } from "@/server/papers/print-task";
import { labelsPdf } from "./labels-pdf";
import { paperPdf } from "./paper-pdf";

/** Sets a paper, in a worker: it takes a second, and an entry must not wait for it. */
export default function print(task: PrintTask): Promise<Uint8Array> {
  switch (task.kind) {
    case "paper":
      return paperPdf(task);
    case "labels":
      return labelsPdf(task);
  }
}
