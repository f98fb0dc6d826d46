import { injectManifest } from "@serwist/build";
import { build } from "esbuild";

/** Packs the service worker: one file, with a list of all the program consists of, which it keeps on the device. */
const BUNDLED = "dist/service-worker.bundled.js";

await build({
  entryPoints: ["src/workers/service-worker.ts"],
  outfile: BUNDLED,
  bundle: true,
  minify: true,
  format: "iife",
  target: "es2022",
  define: { "process.env.NODE_ENV": '"production"' },
  logLevel: "warning",
});
const { count, size, warnings } = await injectManifest({
  swSrc: BUNDLED,
  swDest: "dist/service-worker.js",
  globDirectory: ".next/static",
  globPatterns: ["**/*"],
  modifyURLPrefix: { "": "/_next/static/" },
  // Their names change with what is in them.
  dontCacheBustURLsMatching: /./,
  maximumFileSizeToCacheInBytes: 4_000_000,
  disablePrecacheManifest: false,
});
for (const warning of warnings) console.warn(warning);
console.log(`Service worker: ${count} files, ${(size / 1e6).toFixed(1)} MB, are kept on a device.`);
