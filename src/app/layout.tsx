import "@fontsource-variable/atkinson-hyperlegible-next";
import "@fontsource/barlow-condensed/500.css";
import "@fontsource/barlow-condensed/600.css";
import "./globals.css";
import type { Metadata, Viewport } from "next";
import { headers } from "next/headers";
import type { ReactNode } from "react";
import { Toaster } from "sonner";
import { signInNeeded } from "@/server/access/needed";
import { isDemo, services } from "@/server/services";
import { newsNow } from "@/server/today/news";
import { SettingsProvider } from "@/ui/settings";
import { Shell } from "@/ui/shell";
import { readEntered, readSettings } from "./settings";

export const metadata: Metadata = {
  title: { default: "Loft Bell", template: "%s · Loft Bell" },
  description: "From the bell to the record: valve service, computed.",
};
export const viewport: Viewport = { themeColor: "#22313B" };
export const dynamic = "force-dynamic";

/** Follows the system's dark mode before the first paint. */
const FOLLOW = `if(document.documentElement.dataset.theme==="system")document.documentElement.dataset.theme=matchMedia("(prefers-color-scheme: dark)").matches?"dark":"light"`;

export default async function Layout({ children }: { children: ReactNode }) {
  const all = services();
  const entered = await readEntered();
  // Whoever has not come in sees nothing of what is here.
  const outside = signInNeeded(all) && entered === undefined;
  const crew = outside ? [] : all.library.crew().map((person) => person.name);
  const said = await readSettings();
  // Whoever is not of the crew is nobody here.
  const settings = { ...said, who: crew.includes(said.who) ? said.who : "" };
  const nonce = /'nonce-([^']+)'/.exec((await headers()).get("content-security-policy") ?? "")?.[1];
  return (
    <html
      lang="en"
      data-theme={settings.theme}
      data-motion={settings.motion}
      data-hand={settings.hand}
      suppressHydrationWarning
    >
      <body>
        {/* biome-ignore lint/security/noDangerouslySetInnerHtml: a constant of ours, run before the first paint */}
        <script nonce={nonce} suppressHydrationWarning dangerouslySetInnerHTML={{ __html: FOLLOW }} />
        <SettingsProvider settings={settings} signedIn={entered} crew={crew}>
          {outside ? (
            <main id="main">{children}</main>
          ) : (
            <Shell news={newsNow(all)} demo={isDemo()} drawn={all.now()}>
              {children}
            </Shell>
          )}
        </SettingsProvider>
        <Toaster
          position="top-center"
          toastOptions={{
            className: "no-print",
            style: {
              fontSize: 16,
              background: "var(--card)",
              color: "var(--ink)",
              borderColor: "var(--rule)",
            },
          }}
        />
      </body>
    </html>
  );
}
