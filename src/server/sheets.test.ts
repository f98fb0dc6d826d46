import { beforeEach, describe, expect, it } from "vitest";
import { librarySheet } from "@/core/job/job.fixtures";
import { importFiles } from "./importing/import-files";
import { openJob } from "./jobs/open-job";
import { keepSheet } from "./register/keep-documents";
import { keepValve } from "./register/keep-valve";
import { passingServices, type Services } from "./services";
import { saveSheet } from "./sheets/save-sheet";

const brook = { ...librarySheet("ottermouth-brook-20"), revision: 1 };
let services: Services;
beforeEach(() => {
  services = passingServices(() => Date.parse("2027-03-01T09:00:00Z"));
  keepSheet(services, brook);
  keepValve(services, {
    tag: "W-1",
    name: "Softener",
    place: "Cellar",
    sheet: brook.id,
    generation: "3",
  });
});

const ask = {
  valve: "W-1",
  reason: { kind: "due", says: "Due" },
  reach: ["stack"],
  policy: "on-condition",
} as const;
const jory = { id: "jory", name: "Jory Pask" };
const known = { id: brook.id, revision: brook.revision };
const changed = { ...brook, title: "Softener head, with a longer title" };
const firstMessage = (saved: ReturnType<typeof saveSheet> | ReturnType<typeof openJob>) =>
  saved.ok ? "" : `${saved.error[0]?.path} ${saved.error[0]?.message}`;

describe("saving a sheet", () => {
  it("makes the next revision and keeps the older ones", () => {
    expect(saveSheet(services, changed, known, "Tam Arkle")).toMatchObject({
      ok: true,
      value: { revision: 2 },
    });
    expect(services.library.revisions(brook.id)).toEqual([1, 2]);
    expect(services.library.sheet(brook.id)?.title).toBe(changed.title);
    expect(services.library.sheet(brook.id, 1)).toEqual(brook);
  });

  it("a job stays on the revision it began with; the next one takes the newest", () => {
    const job = openJob(services, ask, jory);
    saveSheet(services, changed, known, "Tam Arkle");
    expect(job.ok && services.jobs.find(job.value.id)?.inputs.sheet.revision).toBe(1);
    if (job.ok) services.summaries.remove(job.value.id);
    const next = openJob(services, ask, jory);
    expect(next.ok && next.value.sheet.revision).toBe(2);
  });

  it("one that would hurt somebody is kept as a draft: no job is opened by it, and why is said", () => {
    // No wrench of this sheet shows what it asks for.
    const harmful = {
      ...brook,
      tools: brook.tools.map((tool) =>
        tool.class === "torque-wrench" ? { ...tool, least_Nm: 900, most_Nm: 950 } : tool,
      ),
      parts: brook.parts.map((part) =>
        part.id === "retainer"
          ? {
              ...part,
              fit: {
                ...part.fit!,
                tools: [brook.tools.find((tool) => tool.class === "torque-wrench")?.id ?? "torque"],
                end: {
                  kind: "torque" as const,
                  torque_Nm: 20,
                  stated: "dry" as const,
                  pattern: "single" as const,
                  passes_percent: [100],
                },
              },
            }
          : part,
      ),
      ...(brook.tools.some((tool) => tool.class === "torque-wrench")
        ? {}
        : {
            tools: [
              ...brook.tools,
              {
                id: "torque",
                name: "Torque wrench",
                class: "torque-wrench" as const,
                least_Nm: 900,
                most_Nm: 950,
              },
            ],
          }),
    };
    expect(saveSheet(services, harmful, known, "Tam Arkle").ok).toBe(true);
    expect(firstMessage(openJob(services, ask, jory))).toMatch(
      /^\/sheet Not proven, so nobody works by it\. At ".+": No wrench .+ can show 20 N·m\./,
    );
    expect(services.summaries.openOfValve("W-1")).toBeUndefined();
  });

  it("refuses one that was edited from an older revision, and changes nothing", () => {
    saveSheet(services, changed, known, "Tam Arkle");
    expect(firstMessage(saveSheet(services, { ...brook, title: "Mine" }, known, "Tam Arkle"))).toContain(
      "/revision Somebody stored revision 2",
    );
    expect(services.library.sheet(brook.id)?.title).toBe(changed.title);
  });

  it("refuses a broken sheet with the place, another id for a known one, and a taken id for a new one", () => {
    const broken = { ...brook, kits: [{ ...brook.kits[0]!, contents: [{ part: "ghost", quantity: 1 }] }] };
    expect(firstMessage(saveSheet(services, broken, known, "Tam Arkle"))).toContain(
      '/kits/0/contents/0/part There is no part "ghost"',
    );
    expect(firstMessage(saveSheet(services, { ...brook, id: "another" }, known, "Tam Arkle"))).toContain(
      "/id A sheet keeps its id",
    );
    expect(firstMessage(saveSheet(services, brook, undefined, "Tam Arkle"))).toContain(
      "/id There is a sheet",
    );
    expect(firstMessage(saveSheet(services, { format: "loftbell.store" }, known, "Tam Arkle"))).not.toBe("");
    expect(services.library.revisions(brook.id)).toEqual([1]);
  });

  it("asks who vouches for figures that are no demonstration any more", () => {
    const real = { ...changed, demonstration: false };
    expect(firstMessage(saveSheet(services, real, known, "Tam Arkle"))).toContain(
      "/vouched Its figures are for real",
    );
    const vouched = { by: "Mira Sorrel", source: "Bench tests of 2026" };
    expect(saveSheet(services, { ...real, vouched }, known, "Tam Arkle")).toMatchObject({
      ok: true,
      value: { vouched },
    });
    // Asked once: one that is real already is saved as it is.
    const { vouched: _, ...again } = { ...real, vouched, revision: 2 };
    expect(saveSheet(services, again, { ...known, revision: 2 }, "Tam Arkle").ok).toBe(true);
  });

  it("an adapted copy stands beside the first, and a file of it comes back in as the same sheet", () => {
    const copy = { ...brook, id: "brook-of-ours", title: "Softener head of the works" };
    expect(saveSheet(services, copy, undefined, "Tam Arkle").ok).toBe(true);
    const text = JSON.stringify(services.library.sheet("brook-of-ours"));
    const fresh = passingServices();
    expect(importFiles(fresh, [{ name: "a.sheet.json", text }], "Jory Pask").ok).toBe(true);
    expect(fresh.library.sheet("brook-of-ours")).toEqual({ ...copy, revision: 1 });
  });
});
