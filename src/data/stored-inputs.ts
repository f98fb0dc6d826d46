import type { JobInputs } from "@/core/formats";
import { digest } from "@/core/job";

/** A document that lies in its own table, named by the SHA-256 of its canonical text. */
export interface DocumentRef {
  readonly $document: string;
}

/** Inputs with their documents taken out. Jobs stored by older versions hold them inside. */
export type StoredInputs = Omit<JobInputs, "sheet" | "line" | "store"> & {
  readonly sheet: JobInputs["sheet"] | DocumentRef;
  readonly line?: JobInputs["line"] | DocumentRef;
  readonly store?: JobInputs["store"] | DocumentRef;
};

const PARTS = ["sheet", "line", "store"] as const;

const isRef = (value: unknown): value is DocumentRef =>
  typeof value === "object" && value !== null && "$document" in value;

/** Takes the documents out: what the row holds, and what has to lie beside it. */
export function takenApart(inputs: JobInputs): { row: StoredInputs; documents: Map<string, unknown> } {
  const documents = new Map<string, unknown>();
  const row: Record<string, unknown> = { ...inputs };
  for (const part of PARTS) {
    const document = inputs[part];
    if (document === undefined) continue;
    const hash = digest(document);
    documents.set(hash, document);
    row[part] = { $document: hash } satisfies DocumentRef;
  }
  return { row: row as unknown as StoredInputs, documents };
}

/** Puts the documents back in; throws when one is missing, for then the database is damaged. */
export function putTogether(row: StoredInputs, document: (hash: string) => unknown): JobInputs {
  const inputs: Record<string, unknown> = { ...row };
  for (const part of PARTS) {
    const ref = row[part];
    if (isRef(ref)) inputs[part] = document(ref.$document);
  }
  return inputs as unknown as JobInputs;
}
