import { mkdirSync, mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";

/** A device on which somebody of the crew is chosen: nobody is presumed. Cookies do not tell ports apart. */
export const heldBy = (who: string, more: Readonly<Record<string, string>> = {}) => ({
  cookies: [
    {
      name: "loftbell",
      value: encodeURIComponent(
        JSON.stringify({ system: "metric", theme: "system", motion: "on", who, ...more }),
      ),
      domain: "127.0.0.1",
      path: "/",
      expires: -1,
      httpOnly: false,
      secure: false,
      sameSite: "Lax" as const,
    },
  ],
  origins: [],
});

/** Debian's Chromium; the flags keep it from looking for the network it does not need. */
export const CHROMIUM = {
  executablePath: "/usr/bin/chromium",
  args: [
    "--no-sandbox",
    "--disable-gpu",
    "--disable-quic",
    "--no-first-run",
    "--disable-background-networking",
    "--disable-component-update",
    "--disable-sync",
  ],
};

/** A new profile in which letters are as large as somebody asked for. */
export function withLetters(pixels: number): string {
  const profile = mkdtempSync(join(tmpdir(), "loftbell-letters-"));
  mkdirSync(join(profile, "Default"));
  const asked = { webkit: { webprefs: { default_font_size: pixels } } };
  writeFileSync(join(profile, "Default", "Preferences"), JSON.stringify(asked));
  return profile;
}
