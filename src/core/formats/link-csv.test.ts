import { describe, expect, it } from "vitest";
import { demoDocument } from "../job/job.fixtures";
import { type Line, linkRows, linksFromRows } from ".";

const quay = demoDocument<Line>("lines/north-quay.json");

describe("links as CSV", () => {
  it("come back as they went out, drawn corners and all", () => {
    expect(linksFromRows(linkRows(quay.links), quay.links)).toEqual({ ok: true, value: quay.links });
  });

  it("take a comma for a decimal point, and yes or no", () => {
    const read = linksFromRows(
      [
        {
          kind: "valve",
          id: "V",
          from: "A",
          to: "B",
          normally: "open",
          operable: "Yes",
          lockable: "no",
          access_min: "2,5",
        },
      ],
      [],
    );
    expect(read.ok && read.value[0]).toMatchObject({ operable: true, lockable: false, access_min: 2.5 });
  });

  it.each([
    ["a kind nobody knows", { kind: "hose", id: "V", from: "A", to: "B" }, "/row 2/kind", "no kind known"],
    ["a missing end", { kind: "check", id: "V", from: "A" }, "/row 2/to", "Missing"],
    [
      "words for a figure",
      { kind: "pipe", id: "P", from: "A", to: "B", dn_mm: "wide", length_m: "1" },
      "/row 2/dn_mm",
      "not a number",
    ],
    [
      "a maybe",
      {
        kind: "valve",
        id: "V",
        from: "A",
        to: "B",
        normally: "open",
        operable: "maybe",
        lockable: "no",
        access_min: "1",
      },
      "/row 2/operable",
      "true or false",
    ],
  ])("refuse %s at its row", (_name, row, path, message) => {
    const read = linksFromRows([row as unknown as Record<string, string>], []);
    const found = read.ok ? undefined : read.error.find((each) => each.path === path);
    expect(found?.message).toContain(message);
  });

  it("refuse an empty file", () => {
    expect(linksFromRows([], quay.links)).toMatchObject({ ok: false });
  });
});
