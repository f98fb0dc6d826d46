/** Why no job can begin as it was asked for. */
export const begin = {
  "reach-nothing": "Choose at least one part to reach.",
  "say-why": "Say why the job is done.",
  noSuch: (sheet: string, what: string, id: string, known: string) =>
    `The sheet "${sheet}" has no ${what} "${id}": ${known || "it has none"}.`,
  noSymptom: (sheet: string, id: string) =>
    `The sheet "${sheet}" has no symptom "${id}". Name one of its own, or leave it out.`,
};
