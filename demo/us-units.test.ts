import { expect, it } from "vitest";
import type { JobInputs } from "@/core/formats";
import { run } from "@/core/job";
import { loadDemo } from "@/server/importing/load-demo";
import { passingServices } from "@/server/services";

const NOW = Date.parse("2027-03-01T09:00:00Z");
const METRIC = /\d[\d.,]*\s?(N·m|bar|°C|kg|L\b|litres|metres|mm\b|m\b|kPa)/;

/** Every text of a value, however deep it lies. */
const textsOf = (value: unknown): string[] =>
  typeof value === "string"
    ? [value]
    : typeof value === "object" && value !== null
      ? Object.values(value).flatMap(textsOf)
      : [];

it("a plan in US units has no metric figure but what its author wrote in words, or a tool goes by", () => {
  const services = passingServices(() => NOW);
  loadDemo(services);
  const { library, register } = services;
  const store = library.stores()[0]!;
  let [plans, ours] = [0, 0];
  for (const valve of register.valves()) {
    const sheet = library.sheet(valve.sheet)!;
    const line = valve.line === undefined ? undefined : library.line(valve.line);
    const written = JSON.stringify([sheet, store]);
    for (const symptom of sheet.symptoms) {
      const inputs: JobInputs = {
        id: "job",
        valve,
        sheet,
        ...(line !== undefined && { line }),
        store,
        reason: { kind: "symptom", says: symptom.says },
        reach: symptom.reach,
        policy: "on-condition",
        openedAt: new Date(NOW).toISOString(),
        openedBy: "Tam Arkle",
      };
      const job = run(inputs, [], "us");
      if (!job.ok) continue;
      plans++;
      for (const text of job.value.plan.steps.flatMap(textsOf)) {
        if (/ft·lbf|psi|°F|lb\b|US gal/.test(text)) ours++;
        const metric = METRIC.exec(text)?.[0];
        expect(metric === undefined || written.includes(metric), `${valve.tag}: ${text}`).toBe(true);
      }
    }
  }
  expect(plans).toBeGreaterThan(100);
  expect(ours).toBeGreaterThan(200);
});
