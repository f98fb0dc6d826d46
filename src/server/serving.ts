import { existsSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { dataFolder } from "./services";

/** Where a server says that it works on this folder. */
export const servingSign = (): string => join(dataFolder(), "serving.json");

/** The server that works on this folder now, by its address, if there is one. */
export function serving(): string | undefined {
  const sign = servingSign();
  if (!existsSync(sign)) return undefined;
  const { pid, url } = JSON.parse(readFileSync(sign, "utf8")) as { pid: number; url: string };
  try {
    process.kill(pid, 0);
    return url;
  } catch {
    // It ended without a farewell.
    return undefined;
  }
}
