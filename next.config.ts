import type { NextConfig } from "next";

const config: NextConfig = {
  serverExternalPackages: ["better-sqlite3"],
  poweredByHeader: false,
  devIndicators: false,
  // The demo and the tests serve the same build from several ports at once.
  allowedDevOrigins: ["127.0.0.1"],
};

export default config;
