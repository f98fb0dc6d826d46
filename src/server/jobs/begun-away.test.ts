import { beforeEach, describe, expect, it } from "vitest";
import { begin } from "@/core/begin";
import type { JobInputs } from "@/core/formats";
import { START, Walk } from "@/core/job/job.fixtures";
import { demoServices } from "../demo.fixtures";
import { keepSheet } from "../register/keep-documents";
import type { Services } from "../services";
import { appendEvents } from "./append-events";
import { openAway, sealOffer } from "./begun-away";
import { offerOf, openedBefore, openJob } from "./open-job";
import { readJob } from "./read-job";

const TAM = { id: "tam", name: "Tam Arkle" };
const MINUTE = 60_000;
let clock = START;
let services: Services;
beforeEach(() => {
  clock = START;
  services = demoServices(() => clock);
});

const chosen = {
  valve: "NQ-H07",
  id: "11111111-2222",
  reason: { kind: "symptom", says: "Weeps" },
  reach: ["disc"],
  policy: "on-condition",
} as const;

function offered(): { offer: JobInputs; seal: string; at: string; by: string } {
  const offer = offerOf(services, { valve: "NQ-H07" });
  if (!offer.ok) throw new Error(JSON.stringify(offer.error));
  const at = new Date(START + 20 * MINUTE).toISOString();
  return { offer: offer.value, seal: sealOffer(services, offer.value), at, by: TAM.name };
}
const later = (minutes: number) => {
  clock = START + minutes * MINUTE;
};
const pathOf = (opened: ReturnType<typeof openAway>) => (opened.ok ? "" : opened.error.problems[0]?.path);

describe("a job that was begun without signal", () => {
  it("is the one that was worked on the device: its log goes in whole, to the signature", async () => {
    const away = offered();
    const here = begin(away.offer, chosen, { id: chosen.id, at: away.at, by: away.by });
    if (!here.ok) throw new Error(here.error.kind);
    const walk = new Walk(here.value, {}, START + 20 * MINUTE).toEnd();
    clock = walk.now + MINUTE;
    const opened = openAway(services, chosen, away, undefined);
    expect(opened).toMatchObject({ ok: true, value: { meanwhile: [] } });
    expect(opened.ok && opened.value.inputs).toEqual(here.value);
    const taken = await appendEvents(services, chosen.id, walk.events, { settles: true });
    expect(taken.ok && taken.value.every(({ event }) => event.elsewhere === undefined)).toBe(true);
    const read = readJob(services, chosen.id)!.run;
    expect(read.ok && read.value.status.kind).toBe("signed-off");
  });

  it("is opened once, however often it is asked for", () => {
    const away = offered();
    later(60);
    expect(openAway(services, chosen, away, undefined).ok).toBe(true);
    expect(openedBefore(services, chosen)).toEqual({ ok: true, value: chosen.id });
    expect(openedBefore(services, { ...chosen, valve: "NQ-H05" })).toMatchObject({ ok: false });
  });

  it("stands beside one that somebody else opened meanwhile, and beside a newer sheet: both are told", () => {
    const away = offered();
    const other = openJob(services, { ...chosen, id: "99999999-0000" }, { id: "isla", name: "Isla Venn" });
    expect(other.ok).toBe(true);
    const { sheet } = away.offer;
    keepSheet(services, { ...sheet, revision: sheet.revision + 1 });
    later(60);
    const opened = openAway(services, chosen, away, undefined);
    expect(opened.ok && opened.value.meanwhile).toEqual([
      { kind: "another-job", job: "99999999-0000", by: "Isla Venn" },
      { kind: "newer-sheet", from: sheet.revision, to: sheet.revision + 1 },
    ]);
    // It was worked by the sheet it was begun with.
    expect(readJob(services, chosen.id)!.inputs.named?.sheet.revision).toBe(sheet.revision);
  });

  it("a device may come back after weeks", () => {
    const away = offered();
    later(20 * 24 * 60);
    expect(openAway(services, chosen, away, undefined).ok).toBe(true);
  });

  it("cannot be made up: another offer, another valve, somebody unknown, another time", () => {
    const away = offered();
    later(60);
    const { offer } = away;
    const softened = {
      ...offer,
      sheet: { ...offer.sheet, isolation: { ...offer.sheet.isolation, zero_bar: 9 } },
    };
    const forged: readonly [string, ReturnType<typeof openAway>][] = [
      ["/away/seal", openAway(services, chosen, { ...away, offer: softened }, undefined)],
      [
        "/away/seal",
        openAway(services, chosen, { ...away, offer: { ...offer, line: undefined as never } }, undefined),
      ],
      ["/away/seal", openAway(services, chosen, { ...away, seal: "x" }, undefined)],
      ["/valve", openAway(services, { ...chosen, valve: "NQ-H05" }, away, undefined)],
      ["/away/by", openAway(services, chosen, { ...away, by: "Nobody Known" }, undefined)],
      [
        "/away/at",
        openAway(services, chosen, { ...away, at: new Date(clock + 6 * MINUTE).toISOString() }, undefined),
      ],
      [
        "/away/at",
        openAway(services, chosen, { ...away, at: new Date(START - 5 * MINUTE).toISOString() }, undefined),
      ],
      ["/reach", openAway(services, { ...chosen, reach: [] }, away, undefined)],
    ];
    for (const [path, opened] of forged) expect(pathOf(opened)).toBe(path);
    expect(services.jobs.find(chosen.id)).toBeUndefined();
  });

  it("of somebody who is not signed in on this device any more waits there", () => {
    const away = offered();
    later(60);
    const opened = openAway(services, chosen, away, new Set(["Isla Venn"]));
    expect(opened).toMatchObject({ ok: false, error: { kind: "not-signed-in" } });
    expect(openAway(services, chosen, away, new Set([TAM.name])).ok).toBe(true);
  });
});
