import { readFileSync } from "node:fs";
import { readDocument, readJson } from "@/core/formats";
import { backUpBeforeUpdate } from "@/server/backup/schedule";
import { verifyDocument } from "@/server/proof/prove";
import { allDoubts } from "@/server/proof/verify";
import { folders, ownServices } from "@/server/services";

/**
 * Verifies the file of a job with nothing but the file, and with the public key of whoever is said to have signed it; or,
 * without a file, all that is stored in this data folder. Ends with 1 when anything does not fit.
 */
const [file, ...flags] = process.argv.slice(2);

function fail(message: string): never {
  console.error(message);
  process.exit(1);
}

function verifyFile(path: string, key: string | undefined): void {
  const value = readJson(readFileSync(path, "utf8"));
  const document = value.ok ? readDocument(value.value) : value;
  if (!document.ok) fail(document.error.map((each) => `${each.path} ${each.message}`).join("\n"));
  if (document.value.format !== "loftbell.job") fail("This is no job: export one from its record.");
  const verdict = verifyDocument(document.value);
  if (!verdict.ok) fail(`NOT WHOLE: ${verdict.error}`);
  if (verdict.value.kind === "sealed")
    fail(
      `The chain of ${verdict.value.entries} entries is whole, but nobody signed for its end: it may have been cut or sealed anew. Ask for a file with its proof.`,
    );
  const { entries, publicKey, at } = verdict.value;
  if (key !== undefined && key !== publicKey)
    fail(
      `The log is whole, but another installation signed it: ${publicKey}. Look at the key on a record you trust.`,
    );
  console.log(`Whole: ${entries} entries, signed ${at} by ${publicKey}.`);
  if (key === undefined)
    console.log("Compare that key with the one the installation shows (Loft, Proof), or give it with --key.");
}

async function verifyFolder(): Promise<void> {
  const fault = await backUpBeforeUpdate(folders(), Date.now());
  if (fault !== undefined) fail(fault);
  const doubts = allDoubts(ownServices());
  if (doubts.length === 0) {
    console.log("Everything stored is as it was acknowledged.");
    return;
  }
  fail(
    doubts
      .map(({ subject, id, message }) => `${[subject, id].filter(Boolean).join(" ")}: ${message}`)
      .join("\n"),
  );
}

const at = flags.indexOf("--key");
if (file === undefined) await verifyFolder();
else verifyFile(file, at === -1 ? undefined : flags[at + 1]);
