import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { demoDocument, librarySheet, wetJob } from "../job/job.fixtures";
import { DOCUMENT_SCHEMAS, type Line, readDocument, readEvent } from ".";

const problems = (value: unknown) => {
  const read = readDocument(value);
  return read.ok ? [] : read.error;
};

describe("documents", () => {
  it("are read back unchanged", () => {
    const line = demoDocument<Line>("lines/north-quay.json");
    expect(readDocument(JSON.parse(JSON.stringify(line)))).toEqual({ ok: true, value: line });
  });

  it("name the path of what is wrong, and only that", () => {
    const line = structuredClone(demoDocument<Line>("lines/north-quay.json")) as unknown as {
      links: Record<string, unknown>[];
      nodes: Record<string, unknown>[];
    };
    line.links[0]!.dn_mm = -5;
    line.nodes[1]!.colour = "red";
    delete line.links[1]!.operable;
    expect(problems(line)).toEqual([
      { path: "/nodes/1/colour", message: "Unknown field: remove it or correct its name." },
      { path: "/links/0/dn_mm", message: "-5 is too small: it has to be more than 0." },
      { path: "/links/1/operable", message: "Missing: fill this in." },
    ]);
  });

  it("tell an unknown kind once", () => {
    const sheet = structuredClone(librarySheet("brae-quaywall-4")) as unknown as {
      parts: { fit?: { end: Record<string, unknown> } }[];
    };
    sheet.parts[0]!.fit!.end = { kind: "very-tight" };
    const found = problems(sheet);
    expect(found.length).toBe(1);
    expect(found[0]!.path).toMatch(/^\/parts\/0\/fit\/end/);
  });

  it.each([
    [null, "not a Loft Bell document"],
    [{}, "Set format to one of"],
    [{ format: "loftbell.line", version: 9 }, "newer than this program reads"],
  ])("%j is refused with what to do", (value, message) => {
    expect(problems(value)[0]?.message).toContain(message);
  });

  it("never throw, whatever is read", () => {
    const anything = fc.oneof(
      fc.anything(),
      fc.record({
        format: fc.constantFrom(...Object.keys(DOCUMENT_SCHEMAS)),
        version: fc.constant(1),
        nodes: fc.anything(),
        links: fc.anything(),
        parts: fc.anything(),
        inputs: fc.anything(),
      }),
    );
    fc.assert(fc.property(anything, (value) => !readDocument(value).ok));
  });
});

describe("events", () => {
  const event = { v: 1, id: "e1", at: "2026-06-01T09:00:00Z", by: "Tam", kind: "note-added", text: "hello" };

  it("are read", () => {
    expect(readEvent(event).ok).toBe(true);
  });

  it("of a future version are refused with what to do", () => {
    expect(readEvent({ ...event, v: 2, newField: true }, "/events/0")).toMatchObject({
      ok: false,
      error: [{ path: "/events/0/v", message: expect.stringContaining("newer Loft Bell") }],
    });
  });

  it("say which field is missing", () => {
    const { text: _, ...without } = event;
    expect(readEvent(without, "/events/3")).toEqual({
      ok: false,
      error: [{ path: "/events/3/text", message: "Missing: fill this in." }],
    });
  });
});

it("a job carries all it needs", () => {
  expect(problems({ format: "loftbell.job", version: 1, inputs: wetJob(), events: [] })).toEqual([]);
});
