import { describe, expect, it } from "vitest";
import type { Finding } from "../findings";
import { causeFound } from "./found";
import { knowledgeOf } from "./trouble.fixtures";

const pilot = knowledgeOf("electric-pilot-valve");
const job = {
  complaint: "dry",
  end: "job-coil",
  outcome: "job",
  odds: { "coil-open": 0.6, "coil-short": 0.3, pilot: 0.1 },
} as const;
const finding = (check: string, given: string, more: Partial<Finding> = {}): Finding => ({
  check,
  given,
  answer: given,
  means: "renew",
  says: "",
  alsoRenew: [],
  reach: [],
  ...more,
});

describe("what a finished case turned out to be", () => {
  it("is what a check shows, though something else was likelier", () => {
    expect(causeFound(pilot, job, [finding("coil", "below")])).toBe("coil-short");
    expect(causeFound(pilot, job, [finding("coil", "above")])).toBe("coil-open");
  });

  it("else the cause of the part that was renewed or cleaned", () => {
    const worn = finding("pilot-look", "torn", { part: "pilot-diaphragm" });
    expect(causeFound(pilot, job, [worn])).toBe("pilot");
    expect(causeFound(pilot, job, [{ ...worn, means: "reuse" }])).toBeUndefined();
  });

  it("is not known of a job that is not signed, or that found nothing of it", () => {
    expect(causeFound(pilot, job, undefined)).toBeUndefined();
    expect(causeFound(pilot, job, [finding("coil", "within", { means: "reuse" })])).toBeUndefined();
  });

  it("of a cure that helped, the likeliest it cures; of what others have, nothing yet", () => {
    const cured = { ...job, end: "open-stop", outcome: "cured" } as const;
    expect(causeFound(pilot, cured, undefined)).toBe("stop-shut");
    expect(causeFound(pilot, { ...job, outcome: "handed-over" }, undefined)).toBeUndefined();
  });
});
