import type { NextConfig } from "next";

export default {
  poweredByHeader: false,
  // Native code and worker threads are loaded by Node itself, not bundled.
  serverExternalPackages: ["better-sqlite3", "piscina", "sharp"],
} satisfies NextConfig;
