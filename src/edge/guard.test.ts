import { describe, expect, it } from "vitest";
import { type Arriving, contentPolicy, isLoopback, ownHosts, refuseArriving } from "./guard";

const hosts = ownHosts("127.0.0.1", 4180, []);
const arriving = (more: Partial<Arriving> & { headers?: Record<string, string> } = {}): Arriving => ({
  method: "POST",
  url: "/api/v1/jobs",
  ...more,
  headers: { host: "127.0.0.1:4180", ...more.headers },
});
const status = (more: Parameters<typeof arriving>[0]) => refuseArriving(arriving(more), hosts)?.status;

describe("who is let in", () => {
  it.each<[string, Parameters<typeof arriving>[0], number | undefined]>([
    ["a page of our own", { headers: { origin: "http://127.0.0.1:4180" } }, undefined],
    ["a program that is no browser", {}, undefined],
    [
      "a page of our own, told by the browser only",
      { headers: { "sec-fetch-site": "same-origin" } },
      undefined,
    ],
    ["a foreign page", { headers: { origin: "http://evil.example" } }, 403],
    ["a foreign page that looks alike", { headers: { origin: "http://127.0.0.1:4180.evil.example" } }, 403],
    ["another port of this machine", { headers: { origin: "http://127.0.0.1:9999" } }, 403],
    ["a page that hides where it is from", { headers: { origin: "null" } }, 403],
    ["a foreign page, told by the browser only", { headers: { "sec-fetch-site": "cross-site" } }, 403],
    ["a neighbour of ours", { headers: { "sec-fetch-site": "same-site" } }, 403],
    ["a name somebody turned on this machine", { headers: { host: "evil.example" } }, 421],
    ["that name, reading only", { method: "GET", headers: { host: "evil.example:4180" } }, 421],
    ["no name at all", { headers: { host: "" } }, 421],
    ["a call of the framework's own kind", { headers: { "next-action": "abc" } }, 404],
    ["an address with half a letter", { method: "GET", url: "/valves/%ff" }, 400],
    ["an address with a lone percent sign", { method: "GET", url: "/valves/100%" }, 400],
    [
      "a search with a percent sign, which is the page's to read",
      { method: "GET", url: "/valves?find=100%" },
      undefined,
    ],
  ])("%s", (_, more, expected) => {
    expect(status(more)).toBe(expected);
  });

  it("knows localhost and the other loopback by the same port only", () => {
    for (const host of ["localhost:4180", "LOCALHOST:4180", "[::1]:4180"])
      expect(refuseArriving(arriving({ method: "GET", headers: { host } }), hosts)).toBeUndefined();
    expect(status({ method: "GET", headers: { host: "localhost:80" } })).toBe(421);
  });

  it("on every address of a machine that listens on all, and under names it is given", () => {
    const open = ownHosts("0.0.0.0", 80, ["192.168.7.20", "fe80::1"], ["bell.works.example", " "]);
    expect([...open]).toEqual(
      expect.arrayContaining(["192.168.7.20:80", "192.168.7.20", "[fe80::1]:80", "bell.works.example"]),
    );
    expect(open.has("")).toBe(false);
    expect(open.has("0.0.0.0:80")).toBe(false);
  });

  it("tells loopback from what a network reaches", () => {
    expect(["127.0.0.1", "localhost", "::1", "[::1]"].every(isLoopback)).toBe(true);
    expect(["0.0.0.0", "192.168.7.20", "127.0.0.1.evil.example"].some(isLoopback)).toBe(false);
  });
});

it("a page may run what carries its nonce, and nobody may frame it", () => {
  const policy = contentPolicy("abc", false);
  expect(policy).toContain("script-src 'self' 'nonce-abc' 'strict-dynamic' 'wasm-unsafe-eval';");
  expect(policy).toContain("frame-ancestors 'none'");
  // The reader of labels is compiled from a module of our own; no text is run as a program.
  expect(policy).not.toContain("'unsafe-eval'");
  expect(/script-src[^;]*unsafe-inline/.test(policy)).toBe(false);
});
