import type { JobDocument, Proof } from "@/core/formats";
import { chainStart, verifyChain } from "@/core/job";
import { err, ok, type Result } from "@/core/result";
import type { Services } from "../services";
import { signedBy } from "./installation";
import { anchorHash } from "./ledger";

/** The newest anchor that signs for a job's log, to travel with it. */
export function proofOf({ anchors, installation }: Services, job: string): Proof | undefined {
  const head = anchors.head("job", job);
  const anchor = head && anchors.at(head.anchor);
  if (anchor === undefined) return undefined;
  const { seq, at, heads, previous, hash, signature } = anchor;
  return {
    publicKey: installation.publicKey,
    anchor: { seq, at, heads: heads.map((each) => ({ ...each })), previous, hash, signature },
  };
}

/** What a stranger can say of a job's file with nothing but the file. */
export type Verdict =
  | { readonly kind: "signed"; readonly entries: number; readonly publicKey: string; readonly at: string }
  | { readonly kind: "sealed"; readonly entries: number };

/** Verifies a job's file: its chain, and the anchor that signs for its end. */
export function verifyDocument({ inputs, events, proof }: JobDocument): Result<Verdict, string> {
  const chain = verifyChain(inputs, events);
  if (!chain.ok) return err(chain.error.message);
  if (proof === undefined) return ok({ kind: "sealed", entries: events.length });
  const { anchor, publicKey } = proof;
  if (anchorHash(anchor) !== anchor.hash || !signedBy(publicKey, anchor.hash, anchor.signature))
    return err("The signature does not fit: the anchor was changed, or another key signed it.");
  const head = anchor.heads.find((each) => each.subject === "job" && each.id === inputs.id);
  if (head === undefined) return err("The anchor does not speak of this job.");
  if (head.entries !== events.length)
    return err(
      `The log has ${events.length} entries; ${head.entries} were signed for: it was cut or added to.`,
    );
  return head.head === (events.at(-1)?.seal.hash ?? chainStart(inputs))
    ? ok({ kind: "signed", entries: events.length, publicKey, at: anchor.at })
    : err("The end of the log is not the one that was signed for: it was sealed anew.");
}
