/** How words are joined, and what stands inside a sentence. */
export const common = {
  and: (names: readonly string[]) =>
    names.length < 2 ? (names[0] ?? "") : `${names.slice(0, -1).join(", ")} and ${names.at(-1)}`,
  commas: (names: readonly string[]) => names.join(", "),
  /** A name as it stands within a sentence. */
  within: (name: string) => name.toLowerCase(),
  /** A sentence that goes on after a colon. */
  lowerFirst: (text: string) => text.charAt(0).toLowerCase() + text.slice(1),
  /** What one has to be competent for, within a sentence. */
  competences: {
    gas: "gas",
    refrigerant: "refrigerants",
    fire: "fire systems",
    electricity: "electricity",
    steam: "steam",
  },
  phases: {
    triage: "Triage",
    prepare: "Prepare",
    isolate: "Isolate",
    prove: "Prove",
    mark: "Mark",
    strip: "Strip",
    inspect: "Inspect",
    rebuild: "Rebuild",
    restore: "Restore",
    test: "Test",
    "sign-off": "Sign off",
  },
};
