import type { NextConfig } from "next";

/** Which build drew a page: a device keeps pages and program of the same one. */
const BUILD = Date.now().toString(36);

export default {
  env: { LOFTBELL_BUILD: BUILD },
  poweredByHeader: false,
  // The server compresses what it serves itself, and only for whoever is not on this machine.
  compress: false,
  // A page's code is read when the page is first asked for: reading all of it first made a start, after a power cut, too, twice as long.
  experimental: { preloadEntriesOnStart: false },
  // Types are checked once, by `./loftbell check`: doing it again at each build takes a minute from whoever starts the app.
  typescript: { ignoreBuildErrors: true },
  // Native code and worker threads are loaded by Node itself, not bundled.
  serverExternalPackages: ["better-sqlite3", "highs", "piscina", "sharp"],
} satisfies NextConfig;
