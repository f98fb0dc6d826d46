import { type Static, Type } from "@sinclair/typebox";
import { closed, Id, Instant, oneOf } from "./shared";

const Hash = Type.String({ pattern: "^[0-9a-f]{64}$", says: "A SHA-256 has 64 figures from 0 to f." });
const Base64Url = Type.String({ pattern: "^[A-Za-z0-9_-]+$", maxLength: 200 });

/** How a log stood when its installation signed for it. */
export const AnchorSchema = Type.Object(
  {
    seq: Type.Integer({ minimum: 1 }),
    at: Instant,
    heads: Type.Array(
      Type.Object(
        {
          subject: oneOf("job", "readings"),
          id: Id,
          entries: Type.Integer({ minimum: 0 }),
          head: Type.String({ maxLength: 64 }),
        },
        closed,
      ),
    ),
    previous: Hash,
    hash: Hash,
    signature: Base64Url,
  },
  { ...closed, description: "SHA-256 over {seq, at, heads, previous} in RFC 8785 form, signed by Ed25519." },
);

/** The anchor that signs for the end of a log, and the key it can be checked with. */
export const ProofSchema = Type.Object(
  {
    publicKey: Type.String({
      pattern: "^[A-Za-z0-9_-]{43}$",
      description: "Ed25519, base64url of 32 bytes.",
      says: "A public key has 43 letters, figures, hyphens and underscores.",
    }),
    anchor: AnchorSchema,
  },
  closed,
);
export type Proof = Static<typeof ProofSchema>;
