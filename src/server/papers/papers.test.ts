import { beforeEach, describe, expect, it } from "vitest";
import { itemKey } from "@/core/formats";
import { START } from "@/core/job/job.fixtures";
import { speaker } from "@/words";
import { demoServices } from "../demo.fixtures";
import { labelled } from "../find/label";
import type { Services } from "../services";
import { jobPaper } from "./job-papers";
import { type LabelsOf, labelsOf } from "./labels";

let all: Services;
beforeEach(() => {
  all = demoServices(() => START);
});
const ORIGIN = "https://loft.works.example";

describe("labels", () => {
  it.each<LabelsOf>(["valves", "lock-points", "store-items"])("for %s open what they stand on", (of) => {
    const labels = labelsOf(all, { of }, ORIGIN);
    if (!labels.ok) throw new Error(labels.error);
    expect(labels.value.length).toBeGreaterThan(10);
    for (const { opens } of labels.value) expect(labelled(all, opens)?.href).toBe(opens.slice(ORIGIN.length));
  });

  it("are for one place, one line, one store, or for those that were chosen", () => {
    const lido = labelsOf(all, { of: "valves", in: "Lido" }, ORIGIN);
    expect(lido.ok && lido.value.every(({ place }) => place.startsWith("Lido"))).toBe(true);
    const two = labelsOf(all, { of: "valves", only: ["NQ-H07", "NQ-H10"] }, ORIGIN);
    expect(two.ok && two.value.map(({ plate }) => plate)).toEqual(["NQ-H07", "NQ-H10"]);
    const [store] = all.library.stores();
    const [row] = store!.stock;
    const one = labelsOf(all, { of: "store-items", in: store!.id, only: [itemKey(row!.item)] }, ORIGIN);
    expect(one.ok && one.value).toMatchObject([{ name: row!.name }]);
  });

  it("are only for points that take a lock", () => {
    const labels = labelsOf(all, { of: "lock-points", in: "north-quay" }, ORIGIN);
    const lockable = all.library
      .line("north-quay")!
      .links.filter((link) => "lockable" in link && link.lockable);
    expect(labels.ok && labels.value.map(({ id }) => id)).toEqual(lockable.map(({ id }) => id));
  });

  it("are refused where there is nothing, and where there is too much for a printer", () => {
    expect(labelsOf(all, { of: "valves", in: "Nowhere" }, ORIGIN)).toEqual({ ok: false, error: "none" });
    expect(labelsOf(all, { of: "valves" }, ORIGIN, 3)).toEqual({ ok: false, error: "too-many" });
  });
});

describe("a paper of a job", () => {
  const paper = (id: string, kind: Parameters<typeof jobPaper>[2]) =>
    jobPaper(all, id, kind, speaker(), ORIGIN);

  it("carries the hash, the key and the address of its record", () => {
    const made = paper("demo-h08-done", "record");
    if (!made.ok) throw new Error(made.error.message);
    const { opens, foot, demonstration } = made.value.paper;
    const head = all.anchors.head("job", "demo-h08-done")!;
    expect(opens).toBe(`${ORIGIN}/jobs/demo-h08-done/record`);
    expect(foot.join()).toContain(all.anchors.at(head.anchor)!.hash);
    expect(foot.join()).toContain(all.installation.publicKey);
    expect(demonstration).toBe(true);
  });

  it("says of work that is not signed that it is not", () => {
    const made = paper("demo-h02-stopped", "customer");
    expect(made.ok && JSON.stringify(made.value.paper.blocks[0])).toContain("Not signed off yet");
  });

  it("says of a log that was cut that nobody may rely on it, to the customer, too", () => {
    all.db.$client.exec(
      "delete from job_events where job = 'demo-h08-done' and seq = (select max(seq) from job_events where job = 'demo-h08-done')",
    );
    all.jobs.forget();
    all.inHand.forget();
    for (const kind of ["record", "customer"] as const) {
      const made = paper("demo-h08-done", kind);
      expect(made.ok && made.value.paper.blocks[0]).toMatchObject({ kind: "text", tone: "stop" });
    }
  });

  it("is none where nothing was handed over, and where there is no job", () => {
    expect(paper("demo-h08-done", "order")).toMatchObject({ ok: false, error: { kind: "unknown" } });
    expect(paper("nothing", "record")).toMatchObject({ ok: false, error: { kind: "unknown" } });
  });
});
