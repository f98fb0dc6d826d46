import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { differences, readDocument, readJson } from ".";

describe("JSON that was sent", () => {
  it("is read as it is", () => {
    fc.assert(
      fc.property(fc.json(), (text) => {
        const read = readJson(text);
        expect(read.ok && read.value).toEqual(JSON.parse(text));
      }),
    );
  });

  it("nested without end is refused before anything walks into it", () => {
    for (const [open, shut] of [
      ["[", "]"],
      ['{"a":', "}"],
    ] as const) {
      const text = open.repeat(200_000) + (open === "[" ? "" : "1") + shut.repeat(200_000);
      expect(readJson(text)).toMatchObject({
        ok: false,
        error: [{ message: expect.stringContaining("100 levels") }],
      });
    }
    const inWords = JSON.stringify({ a: "[".repeat(5000), b: '"{{{{'.repeat(50) });
    expect(readJson(inWords).ok).toBe(true);
  });

  it("cut short is told as such", () => {
    expect(readJson('{"a": ')).toMatchObject({
      ok: false,
      error: [{ message: expect.stringContaining("Export it again") }],
    });
  });

  it.each(["toString", "constructor", "__proto__", "hasOwnProperty"])(
    "of the format %s is no document",
    (format) => {
      expect(readDocument(JSON.parse(`{"format": "${format}", "version": 1}`))).toMatchObject({
        ok: false,
        error: [{ path: "/format" }],
      });
    },
  );
});

describe("what differs between two documents", () => {
  const plain = fc.dictionary(
    fc.stringMatching(/^[a-z]{1,4}$/),
    fc.oneof(fc.integer(), fc.string(), fc.boolean()),
  );

  it("is nothing between a document and itself", () => {
    fc.assert(
      fc.property(fc.jsonValue(), (value) => {
        expect(differences(value, structuredClone(value))).toEqual([]);
      }),
    );
  });

  it("is every field that has another value, at its path", () => {
    fc.assert(
      fc.property(plain, plain, (a, b) => {
        const found = differences(a, b);
        const keys = new Set([...Object.keys(a), ...Object.keys(b)]);
        expect(found.map((each) => each.path).sort()).toEqual(
          [...keys]
            .filter((key) => a[key] !== b[key])
            .map((key) => `/${key}`)
            .sort(),
        );
      }),
    );
  });

  it("names entries of a list by their id, and no more than are wanted", () => {
    const before = {
      parts: [
        { id: "cap", name: "Cap" },
        { id: "disc", name: "Disc" },
      ],
    };
    const after = { parts: [{ id: "disc", name: "Disc, new" }] };
    expect(differences(before, after)).toEqual([
      { path: "/parts/cap", before: '{"id":"cap","name":"Cap"}', after: undefined },
      { path: "/parts/disc/name", before: "Disc", after: "Disc, new" },
    ]);
    expect(differences(before, after, 1)).toHaveLength(1);
  });
});
