/**
 * The folders are the architecture: app -> edge -> server -> words, data; app -> ui -> words; words -> core; data -> core;
 * core -> nothing. Facts are made in core, sentences in words. Contracts and client of the edge are read by both sides.
 */
const pureLibraries = "^(node_modules/(@sinclair/typebox|ajv|ajv-formats|@noble/hashes|canonicalize|yalps)/)";
module.exports = {
  forbidden: [
    {
      name: "core-imports-only-core",
      comment: "Computation stays free of interface, database, clock and randomness.",
      severity: "error",
      from: { path: "^src/core/", pathNot: "\\.(test|fixtures)\\.ts$" },
      to: { pathNot: ["^src/core/", pureLibraries] },
    },
    {
      name: "core-through-the-door",
      comment: "A capability is entered by its index.ts; what lies behind it may change.",
      severity: "error",
      from: { path: "^src/core/([^/]+)/", pathNot: "\\.test\\.ts$" },
      to: { path: "^src/core/([^/]+)/", pathNot: ["^src/core/$1/", "^src/core/[^/]+/index\\.ts$"] },
    },
    {
      name: "outsiders-through-the-door",
      severity: "error",
      from: {
        path: "^(src/(words|data|server|edge|app|ui|workers|device)|demo|bench|e2e)/",
        pathNot: "\\.test\\.ts$",
      },
      to: { path: "^src/core/[^/]+/", pathNot: "(^src/core/[^/]+/index|\\.fixtures)\\.ts$" },
    },
    {
      name: "fixtures-for-tests-and-benches",
      severity: "error",
      from: { pathNot: "(\\.(test|fixtures)\\.ts$|^bench/|^e2e/)" },
      to: { path: "\\.fixtures\\.ts$" },
    },
    {
      name: "words-know-core-only",
      comment: "A sentence is made of facts, for a language and a system of units; nothing reads one back.",
      severity: "error",
      from: { path: "^src/words/", pathNot: "\\.(test|fixtures)\\.ts$" },
      to: { pathNot: ["^src/words/", "^src/core/"] },
    },
    {
      name: "data-keeps-facts",
      severity: "error",
      from: { path: "^src/data/" },
      to: { path: "^src/words/" },
    },
    {
      name: "one-language-one-folder",
      comment: "A second language is one more folder beside this one: only the speaker chooses.",
      severity: "error",
      from: { pathNot: "^src/words/(english/|speaker\\.ts|[^/]*\\.(test|fixtures)\\.ts$)" },
      to: { path: "^src/words/english/" },
    },
    {
      name: "data-knows-core-only",
      severity: "error",
      from: { path: "^src/data/" },
      to: { path: "^src/(server|edge|app|ui|workers)/" },
    },
    {
      name: "server-knows-core-and-data",
      severity: "error",
      from: { path: "^src/server/" },
      to: { path: "^src/(edge|app|ui|workers)/" },
    },
    {
      name: "print-is-a-program",
      comment: "It sets what it is handed, in a process thread of its own; nobody loads it beside the rest.",
      severity: "error",
      from: { pathNot: "^src/print/" },
      to: { path: "^src/print/" },
    },
    {
      name: "print-sets-what-it-is-handed",
      severity: "error",
      from: { path: "^src/print/" },
      to: { path: "^src/(data|edge|app|workers)/" },
    },
    {
      name: "ui-knows-core-only",
      severity: "error",
      from: { path: "^src/ui/" },
      to: { path: "^src/(data|server|app)/" },
    },
    {
      name: "ui-asks-by-contract",
      comment: "The handlers' side of the edge is no business of a screen.",
      severity: "error",
      from: { path: "^src/ui/" },
      to: { path: "^src/edge/", pathNot: "^src/edge/(contracts/|contract\\.ts|client\\.ts|clock\\.ts)" },
    },
    {
      name: "contracts-know-core-only",
      severity: "error",
      from: { path: "^src/edge/(contracts/|contract\\.ts|client\\.ts|clock\\.ts)", pathNot: "\\.test\\.ts$" },
      to: { path: "^src/(data|server|app|ui|workers)/" },
    },
    {
      name: "edge-knows-server-not-screens",
      severity: "error",
      from: { path: "^src/edge/" },
      to: { path: "^src/(data|app|ui|workers)/" },
    },
    {
      name: "workers-know-core-only",
      severity: "error",
      from: { path: "^src/workers/" },
      to: { path: "^src/(data|server|edge|app|ui|device/(?!pages\\.ts))" },
    },
    {
      name: "device-knows-core-and-contracts",
      comment: "What lies on a device and how it is sent: no screens, no sentences.",
      severity: "error",
      from: { path: "^src/device/", pathNot: "\\.(test|fixtures)\\.ts$" },
      to: {
        path: "^src/(data|server|edge|app|ui|workers|words)/",
        pathNot: "^src/edge/(contracts/|contract\\.ts|client\\.ts|clock\\.ts)",
      },
    },
    {
      name: "app-asks-server-not-data",
      severity: "error",
      from: { path: "^src/app/" },
      to: { path: "^src/data/" },
    },
    {
      name: "no-cycles",
      severity: "error",
      from: { path: "^src/" },
      to: { circular: true },
    },
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    exclude: { path: "^\\.next" },
    tsConfig: { fileName: "tsconfig.json" },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      exportsFields: ["exports"],
      conditionNames: ["import", "require", "node", "default", "types"],
    },
  },
};
