import { describe, expect, it } from "vitest";
import { librarySheet } from "../job/job.fixtures";
import { type Sheet, sheetNow } from ".";

/** A shipped sheet as version 1 would have written it: without the fields, with the words. */
function asVersion1(sheet: Sheet): Sheet {
  const { traits: _, ...old } = structuredClone(sheet);
  for (const tool of old.tools) delete tool.class;
  const forbidden = [
    ...old.parts.flatMap((part) => part.ways.flatMap((way) => way.forbidden ?? [])),
    ...(old.tasks ?? []).flatMap((task) => task.forbidden ?? []),
  ];
  for (const each of forbidden) delete each.class;
  for (const { fit } of old.parts) {
    if (fit === undefined) continue;
    delete fit.asNoted;
    if (fit.surface?.kind === "lubricate") delete fit.surface.on;
  }
  return { ...old, version: 1 };
}

const IDS = [
  "brae-quaywall-4",
  "quillon-harbour-5",
  "quillon-watchair-1",
  "pell-ropewalk-20",
  "pell-guardian-t2",
  "pell-meter-h20",
  "sedgeway-ditchmaster-80",
  "sedgeway-furrow-25",
  "lantern-parlour-1",
];

describe("a sheet of version 1", () => {
  it.each(IDS)("%s is brought up to what version 2 says in fields", (id) => {
    const sheet = librarySheet(id);
    expect(sheet.version).toBe(2);
    const old = asVersion1(sheet);
    expect(old).not.toEqual(sheet);
    expect(sheetNow(old)).toEqual(sheet);
  });

  it("is not changed itself, and gives the same object each time", () => {
    const old = asVersion1(librarySheet("brae-quaywall-4"));
    const before = structuredClone(old);
    expect(sheetNow(old)).toBe(sheetNow(old));
    expect(old).toEqual(before);
  });

  it("one of version 2 says all itself: its words are not read", () => {
    const sheet = { ...librarySheet("brae-quaywall-4"), tools: [{ id: "t", name: "Torque wrench" }] };
    expect(sheetNow(sheet)).toBe(sheet);
  });
});
