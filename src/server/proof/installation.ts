import {
  createPrivateKey,
  createPublicKey,
  generateKeyPairSync,
  type KeyObject,
  sign,
  verify,
} from "node:crypto";
import {
  closeSync,
  existsSync,
  fsyncSync,
  mkdirSync,
  openSync,
  readFileSync,
  renameSync,
  writeSync,
} from "node:fs";
import { dirname, join } from "node:path";
import { readJson } from "@/core/formats";
import { DamagedFile, mayMakeNewKey } from "../faults/start-fault";

/** The newest anchor, as it is remembered outside the database. */
export interface Witness {
  readonly seq: number;
  readonly hash: string;
}

/** What an installation signs with, and what it remembers of itself beside its database. */
export interface Installation {
  /** Ed25519 public key, base64url of its 32 bytes (as in a JSON Web Key, RFC 8037). */
  readonly publicKey: string;
  readonly sign: (text: string) => string;
  /** The newest anchor that was acknowledged; nothing when none ever was. */
  readonly witness: () => Witness | undefined;
  /** Nothing is remembered where a database without any was put back. */
  readonly remember: (witness: Witness | undefined) => void;
}

export const KEY_FILE = "installation.key";
const WITNESS_FILE = "newest-anchor.json";

const signer = (key: KeyObject) => ({
  publicKey: createPublicKey(key).export({ format: "jwk" }).x as string,
  sign: (text: string) => sign(null, Buffer.from(text), key).toString("base64url"),
});

/** Whether a text was signed by the holder of a key. */
export function signedBy(publicKey: string, text: string, signature: string): boolean {
  try {
    const key = createPublicKey({ format: "jwk", key: { kty: "OKP", crv: "Ed25519", x: publicKey } });
    return verify(null, Buffer.from(text), key, Buffer.from(signature, "base64url"));
  } catch {
    // Not the text of a key.
    return false;
  }
}

/** A witness in so many bytes: written over the old one in one piece, it is never half of each. */
const WITNESS_BYTES = 128;

/**
 * The witness file. It is not forced to the disk: it has to outlive the process, not the supply. Behind the database it
 * is only less of a witness, never a false one.
 */
function witnessIn(path: string): Pick<Installation, "witness" | "remember"> {
  let file: number | undefined;
  return {
    witness: () => {
      if (!existsSync(path)) return undefined;
      const text = readFileSync(path, "utf8").trim();
      if (text === "") return undefined;
      const read = readJson(text);
      const { seq, hash } = ((read.ok ? read.value : undefined) ?? {}) as Partial<Witness>;
      if (typeof seq !== "number" || typeof hash !== "string")
        throw new DamagedFile("witness-damaged", dirname(path));
      return { seq, hash };
    },
    remember: (witness) => {
      file ??= openSync(path, existsSync(path) ? "r+" : "w+", 0o644);
      writeSync(file, (witness === undefined ? "" : JSON.stringify(witness)).padEnd(WITNESS_BYTES), 0);
    },
  };
}

/** Written whole and forced to the disk before it takes the old one's place. */
function writeSafely(path: string, text: string, mode: number): void {
  const file = openSync(`${path}.new`, "w", mode);
  try {
    writeSync(file, text);
    fsyncSync(file);
  } finally {
    closeSync(file);
  }
  renameSync(`${path}.new`, path);
}

/**
 * The installation whose key lies in this folder; at the first start the key is made.
 *
 * @throws DamagedFile where the key of something that was signed already is gone or cannot be read: another one in its
 * place would put everything in doubt
 */
export function installationIn(folder: string): Installation {
  mkdirSync(folder, { recursive: true });
  const witness = witnessIn(join(folder, WITNESS_FILE));
  return { ...signer(keyIn(folder, () => witness.witness() !== undefined)), ...witness };
}

/** @param hasSigned whether something was signed in this folder before */
function keyIn(folder: string, hasSigned: () => boolean): KeyObject {
  const path = join(folder, KEY_FILE);
  if (!existsSync(path)) {
    if (hasSigned() && !mayMakeNewKey()) throw new DamagedFile("no-key", folder);
    return makeKey(path);
  }
  const text = readFileSync(path);
  try {
    return createPrivateKey(text);
  } catch {
    if (!mayMakeNewKey()) throw new DamagedFile("key-damaged", folder);
    // It is kept: somebody may still get something out of it.
    renameSync(path, `${path}.damaged`);
    return makeKey(path);
  }
}

function makeKey(path: string): KeyObject {
  const { privateKey } = generateKeyPairSync("ed25519");
  writeSafely(path, privateKey.export({ type: "pkcs8", format: "pem" }) as string, 0o600);
  return privateKey;
}

/** An installation that is gone with its process: for tests and for the loading of files into memory. */
export function passingInstallation(): Installation {
  let kept: Witness | undefined;
  return {
    ...signer(generateKeyPairSync("ed25519").privateKey),
    witness: () => kept,
    remember: (witness) => {
      kept = witness;
    },
  };
}
