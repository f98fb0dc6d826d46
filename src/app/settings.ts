import { cookies, headers } from "next/headers";
import { QUIET_USUALLY } from "@/core/ringing";
import { enteredIn } from "@/edge/entered";
import { SETTINGS_COOKIE } from "@/edge/who-is";
import type { Settings } from "@/ui/settings";

/** Who signed in; nobody where one need not. */
export const readEntered = async () => enteredIn(await headers());

/** Settings of this device; what is missing or odd takes the usual. */
export async function readSettings(): Promise<Settings> {
  const raw = (await cookies()).get(SETTINGS_COOKIE)?.value;
  let kept: Partial<Record<keyof Settings, unknown>> = {};
  try {
    kept = JSON.parse(raw ?? "{}") ?? {};
  } catch {
    // A cookie that was meddled with counts as none.
  }
  return {
    system: kept.system === "us" ? "us" : "metric",
    mark: kept.mark === "comma" ? "comma" : "point",
    theme: THEMES.find((each) => each === kept.theme) ?? "system",
    motion: kept.motion === "off" ? "off" : "on",
    hand: kept.hand === "left" ? "left" : "right",
    keys: kept.keys === "device" ? "device" : "ours",
    tone: kept.tone === "off" ? "off" : "on",
    quietFrom: minuteOr(QUIET_USUALLY.from, kept.quietFrom),
    quietTo: minuteOr(QUIET_USUALLY.to, kept.quietTo),
    who: (await readEntered())?.name ?? (typeof kept.who === "string" ? kept.who.slice(0, 80) : ""),
  };
}

const THEMES = ["light", "dark", "sun"] as const;

const minuteOr = (usually: number, kept: unknown): number =>
  typeof kept === "number" && Number.isInteger(kept) && kept >= 0 && kept < 24 * 60 ? kept : usually;
