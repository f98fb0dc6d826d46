import { randomBytes } from "node:crypto";
import { existsSync, mkdirSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { sealData, unsealData } from "iron-session";
import { dataFolder, type Services } from "../services";

const KEPT = "seal-key";
const FILE = "sessions.key";

/** What cookies are sealed with. It lies beside the data and in no backup: whoever has one cannot sign in by it. */
function key({ kept }: Services): string {
  const known = kept.get(KEPT);
  if (typeof known === "string") return known;
  const path = join(dataFolder(), FILE);
  mkdirSync(dataFolder(), { recursive: true });
  if (!existsSync(path))
    writeFileSync(path, randomBytes(32).toString("base64url"), { mode: 0o600, flag: "wx" });
  const read = readFileSync(path, "utf8").trim();
  kept.set(KEPT, read);
  return read;
}

/** For tests: a key that passes with the services. */
export const passingSeals = ({ kept }: Services): void => {
  kept.set(KEPT, randomBytes(32).toString("base64url"));
};

/** @param seconds for which it holds; 0 without end */
export const sealed = (services: Services, data: object, seconds: number): Promise<string> =>
  sealData(data, { password: key(services), ttl: seconds });

/** What was sealed here; nothing when it was not, or holds no longer. */
export async function unsealed<T extends object>(services: Services, seal: string): Promise<Partial<T>> {
  try {
    return await unsealData<Partial<T>>(seal, { password: key(services), ttl: 0 });
  } catch {
    // Not a seal at all.
    return {};
  }
}
