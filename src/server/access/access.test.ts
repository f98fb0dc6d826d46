import { beforeEach, describe, expect, it } from "vitest";
import { keepPerson } from "../register/keep-documents";
import { passingServices, type Services } from "../services";
import { accessBefore } from "./access-log";
import { giveRole, handCode, makeKeeper, takeAccount } from "./accounts";
import { enteredByFeed, feedKey } from "./feed";
import { firstCode, firstKeeper, switchOff, switchOn } from "./first-keeper";
import { signInNeeded } from "./needed";
import { byPasskey } from "./passkeys";
import { passingSeals, sealed, unsealed } from "./seals";
import { endSession, enteredBy, holderOf, namesOn, openSession, openSessions } from "./sessions";
import { byCode, byPassword, byPin, changePassword, setPin, type Trying } from "./sign-in";

const HOUR = 3_600_000;
const DAY = 24 * HOUR;
const PASSWORD = "brass gate tide";
let services: Services;
let now: number;
let ids: number;

const at = (device = "tablet", address = "10.0.0.7", shared = false): Trying => ({
  device: { id: device, browser: "Firefox on Linux", shared },
  address,
});

beforeEach(() => {
  now = 1_800_000_000_000;
  ids = 0;
  services = passingServices(
    () => now,
    () => `id-${ids++}`,
  );
  passingSeals(services);
  keepPerson(services, { id: "isla", name: "Isla Venn", may: "Gas" });
  keepPerson(services, { id: "tam", name: "Tam Arkle", may: "Hydrants" });
});

/** Somebody with a password, by the way everybody gets one. */
async function letIn(id: string, role: Parameters<typeof giveRole>[2], password = PASSWORD): Promise<string> {
  const given = await giveRole(services, id, role, "Ina");
  const name = services.library.people().find((each) => each.id === id)!.name;
  const came = await byCode(
    services,
    { name, code: given.ok ? given.value!.code : "", password },
    at(`first of ${id}`),
  );
  if (!came.ok) throw new Error(came.error.kind);
  return came.value;
}
const kindOf = (came: Awaited<ReturnType<typeof byPassword>>) => (came.ok ? "in" : came.error.kind);

describe("by a password", () => {
  it("comes in under any spelling of the name, and is known by the session", async () => {
    await letIn("isla", "technician");
    const came = await byPassword(services, { name: " isla venn ", password: PASSWORD }, at());
    expect(came.ok && enteredBy(services, came.value)).toEqual({
      session: came.ok && came.value,
      person: "isla",
      name: "Isla Venn",
      role: "technician",
      device: "tablet",
    });
  });
  it.each([
    ["another password", "Isla Venn", "another one"],
    ["one of the crew without an account", "Tam Arkle", PASSWORD],
    ["nobody of the crew", "The Queen of Sheba", PASSWORD],
  ])("is refused alike: %s", async (_, name, password) => {
    await letIn("isla", "technician");
    expect(kindOf(await byPassword(services, { name, password }, at()))).toBe("wrong");
  });
  it("locks a name after five wrong ones, for everybody, and says for how long; a code still lets in", async () => {
    await letIn("isla", "technician");
    for (let time = 0; time < 5; time++)
      await byPassword(services, { name: "Isla Venn", password: `wrong ${time}` }, at("x", `10.0.0.${time}`));
    const locked = await byPassword(services, { name: "Isla Venn", password: PASSWORD }, at());
    expect(locked).toMatchObject({ ok: false, error: { kind: "locked", whom: "name", minutes: 15 } });
    const code = await handCode(services, "isla", "Ina");
    const came = await byCode(
      services,
      { name: "Isla Venn", code: code.ok ? code.value.code : "", password: "another long one" },
      at(),
    );
    expect(kindOf(came)).toBe("in");
    expect(accessBefore(services).some(({ says }) => says.includes("locked out"))).toBe(true);
  });
  it("counts many tries at once like one after another", async () => {
    await letIn("isla", "technician");
    const tries = await Promise.all(
      Array.from({ length: 12 }, (_, time) =>
        byPassword(services, { name: "Isla Venn", password: `wrong ${time}` }, at()),
      ),
    );
    expect(tries.filter((each) => kindOf(each) === "wrong")).toHaveLength(5);
    expect(tries.filter((each) => kindOf(each) === "locked")).toHaveLength(7);
  });
  it("right ones lock nobody", async () => {
    await letIn("isla", "technician");
    for (let time = 0; time < 8; time++)
      expect(kindOf(await byPassword(services, { name: "Isla Venn", password: PASSWORD }, at()))).toBe("in");
  });
  it("locks an address from which all names are tried", async () => {
    await letIn("isla", "technician");
    for (let time = 0; time < 60; time++)
      await byPassword(services, { name: `name ${time}`, password: "x" }, at());
    const locked = await byPassword(services, { name: "Isla Venn", password: PASSWORD }, at());
    expect(locked).toMatchObject({ ok: false, error: { kind: "locked", whom: "address" } });
    const elsewhere = await byPassword(
      services,
      { name: "Isla Venn", password: PASSWORD },
      at("y", "10.9.9.9"),
    );
    expect(kindOf(elsewhere)).toBe("in");
  }, 20_000);
  it("is changed by who knows the old one; everywhere else this person is out, and no PIN is left", async () => {
    const there = await letIn("isla", "technician");
    const here = openSession(services, "isla", "password", at("phone").device);
    const entered = enteredBy(services, here)!;
    await setPin(services, enteredBy(services, there)!, "4827");
    const wrong = await changePassword(services, entered, {
      old: "no",
      password: "new and long",
      address: "a",
    });
    expect(wrong.ok).toBe(false);
    const done = await changePassword(services, entered, {
      old: PASSWORD,
      password: "new and long",
      address: "a",
    });
    expect(done.ok).toBe(true);
    expect(enteredBy(services, there)).toBeUndefined();
    expect(enteredBy(services, here)).toBeDefined();
    expect(services.access.pinsOn("first of isla")).toEqual([]);
    expect(kindOf(await byPassword(services, { name: "Isla Venn", password: PASSWORD }, at()))).toBe("wrong");
    expect(kindOf(await byPassword(services, { name: "Isla Venn", password: "new and long" }, at()))).toBe(
      "in",
    );
  });
});

describe("by a code", () => {
  const code = async () => {
    const given = await giveRole(services, "isla", "technician", "Ina");
    return given.ok ? given.value!.code : "";
  };
  const come = (typed: string, password = PASSWORD) =>
    byCode(services, { name: "Isla Venn", code: typed, password }, at());
  it("lets in once, however it is typed", async () => {
    const typed = (await code()).toLowerCase().replace("-", " ");
    expect(kindOf(await come(typed))).toBe("in");
    expect(kindOf(await come(typed))).toBe("wrong-code");
  });
  it("lets in once where two try at the same time", async () => {
    const typed = await code();
    const both = await Promise.all([come(typed, "the first of two"), come(typed, "the second one")]);
    expect(both.map(kindOf).sort()).toEqual(["in", "wrong-code"]);
  });
  it("is not used up by a password that is none", async () => {
    const typed = await code();
    expect(kindOf(await come(typed, "short"))).toBe("secret");
    expect(kindOf(await come(typed))).toBe("in");
  });
  it("holds for three days", async () => {
    const typed = await code();
    now += 3 * DAY + 1;
    expect(kindOf(await come(typed))).toBe("code-ran-out");
  });
  it("a new one takes the place of the old", async () => {
    const old = await code();
    await handCode(services, "isla", "Ina");
    expect(kindOf(await come(old))).toBe("wrong-code");
  });
  it("is kept nowhere as it is", async () => {
    const typed = await code();
    const kept = JSON.stringify(services.access.accounts()) + JSON.stringify(services.access.log(100));
    expect(kept).not.toContain(typed);
    expect(kept).not.toContain(typed.replace("-", ""));
  });
});

describe("by a PIN", () => {
  const withPin = async () => {
    const entered = enteredBy(services, await letIn("isla", "technician"))!;
    await setPin(services, entered, "4827");
    return entered.device;
  };
  it("comes in on the device it was set on, and on no other", async () => {
    const device = await withPin();
    expect(kindOf(await byPin(services, { person: "isla", pin: "4827" }, at(device)))).toBe("in");
    expect(kindOf(await byPin(services, { person: "isla", pin: "4827" }, at("another")))).toBe("pin-lost");
  });
  it("is gone after five wrong ones, many at once among them", async () => {
    const device = await withPin();
    const tries = await Promise.all(
      Array.from({ length: 9 }, (_, time) =>
        byPin(services, { person: "isla", pin: `900${time}` }, at(device)),
      ),
    );
    expect(tries.filter((each) => kindOf(each) === "wrong-pin")).toHaveLength(4);
    expect(services.access.pinsOn(device)).toEqual([]);
    expect(kindOf(await byPin(services, { person: "isla", pin: "4827" }, at(device)))).toBe("pin-lost");
  });
  it("a right one makes wrong ones forgotten", async () => {
    const device = await withPin();
    for (let time = 0; time < 3; time++) {
      for (let wrong = 0; wrong < 3; wrong++)
        await byPin(services, { person: "isla", pin: "9000" }, at(device));
      expect(kindOf(await byPin(services, { person: "isla", pin: "4827" }, at(device)))).toBe("in");
    }
  });
  it("one that is guessed at once is not taken", async () => {
    const entered = enteredBy(services, await letIn("isla", "technician"))!;
    expect(await setPin(services, entered, "1234")).toMatchObject({ ok: false });
  });
});

describe("a session", () => {
  it("ends when it was not seen: a shared device after half a day, one's own after a month", () => {
    services.access.saveAccount({
      person: "isla",
      role: "reader",
      password: "x",
      code: null,
      codeUntil: null,
    });
    const own = openSession(services, "isla", "password", at("own").device);
    const shared = openSession(services, "isla", "password", at("shared", "a", true).device);
    now += 11 * HOUR;
    expect(enteredBy(services, shared)).toBeDefined();
    now += 13 * HOUR;
    expect(enteredBy(services, shared)).toBeUndefined();
    expect(enteredBy(services, own)).toBeDefined();
    // Seen, it lasts on.
    now += 29 * DAY;
    expect(enteredBy(services, own)).toBeDefined();
    now += 31 * DAY;
    expect(enteredBy(services, own)).toBeUndefined();
    expect(openSessions(services)).toEqual([]);
  });
  it("does not last on by what others do on the device, nor by a page that is left open", () => {
    const account = { role: "technician", password: "x", code: null, codeUntil: null } as const;
    services.access.saveAccount({ person: "isla", ...account });
    const isla = openSession(services, "isla", "pin", at("van", "a", true).device);
    for (let hour = 0; hour < 13; hour++) {
      now += HOUR;
      namesOn(services, "van");
      holderOf(services, isla);
    }
    expect(holderOf(services, isla)).toBeUndefined();
    expect([...namesOn(services, "van")]).toEqual([]);
  });
  it("ends with the account, and when the person leaves", async () => {
    await letIn("isla", "keeper");
    const tam = await letIn("tam", "technician");
    expect(enteredBy(services, tam)).toBeDefined();
    keepPerson(services, { id: "tam", name: "Tam Arkle", may: "", left: "2026-11-30" });
    expect(enteredBy(services, tam)).toBeUndefined();
    keepPerson(services, { id: "tam", name: "Tam Arkle", may: "" });
    expect(enteredBy(services, tam)).toBeDefined();
    takeAccount(services, "tam", "Isla Venn");
    expect(enteredBy(services, tam)).toBeUndefined();
    expect(services.access.sessions().filter(({ person }) => person === "tam")).toEqual([]);
  });
  it("takes on another role at once", async () => {
    await letIn("isla", "keeper");
    const tam = await letIn("tam", "technician");
    await giveRole(services, "tam", "planner", "Isla Venn");
    expect(enteredBy(services, tam)?.role).toBe("planner");
  });
  it("several on one device are each known there", async () => {
    await letIn("isla", "technician");
    await letIn("tam", "technician");
    openSession(services, "isla", "pin", at("van").device);
    const tam = openSession(services, "tam", "pin", at("van").device);
    expect([...namesOn(services, "van")].sort()).toEqual(["Isla Venn", "Tam Arkle"]);
    endSession(services, tam, "Tam Arkle");
    expect([...namesOn(services, "van")]).toEqual(["Isla Venn"]);
  });
});

describe("a passkey", () => {
  it("of one who left, or whose account is gone, lets in nobody and opens nothing", async () => {
    const key = {
      id: "k",
      name: "phone",
      publicKey: Buffer.from("x"),
      counter: 0,
      transports: [],
      madeAt: now,
    };
    services.access.savePasskey({ ...key, person: "tam" });
    services.access.saveAccount({
      person: "tam",
      role: "reader",
      password: "x",
      code: null,
      codeUntil: null,
    });
    const site = { host: "loft.works.example", origin: "https://loft.works.example" };
    const come = () => byPasskey(services, { answer: { id: "k" } as never, site }, at());
    // There, but nothing was asked of it.
    expect(kindOf(await come())).toBe("passkey-refused");
    keepPerson(services, { id: "tam", name: "Tam Arkle", may: "", left: "2026-11-30" });
    expect(kindOf(await come())).toBe("passkey-unknown");
    keepPerson(services, { id: "tam", name: "Tam Arkle", may: "" });
    services.access.saveAccount({
      person: "isla",
      role: "keeper",
      password: "x",
      code: null,
      codeUntil: null,
    });
    takeAccount(services, "tam", "Isla Venn");
    expect(kindOf(await come())).toBe("passkey-unknown");
    expect(services.access.sessions()).toEqual([]);
  });
});

describe("the last keeper", () => {
  it("stays one, until another can come in", async () => {
    await letIn("isla", "keeper");
    expect(takeAccount(services, "isla", "Isla Venn").ok).toBe(false);
    expect((await giveRole(services, "isla", "reader", "Isla Venn")).ok).toBe(false);
    // A keeper who never came in lets nobody in.
    await giveRole(services, "tam", "keeper", "Isla Venn");
    expect(takeAccount(services, "isla", "Isla Venn").ok).toBe(false);
    const code = await handCode(services, "tam", "Isla Venn");
    await byCode(
      services,
      { name: "Tam Arkle", code: code.ok ? code.value.code : "", password: PASSWORD },
      at(),
    );
    expect(takeAccount(services, "isla", "Isla Venn").ok).toBe(true);
  });
  it("is let in by who can read the folder, whatever was before", async () => {
    await letIn("isla", "reader");
    const made = await makeKeeper(services, { id: "isla", name: "Isla Venn" }, "./loftbell keeper");
    expect(made.ok).toBe(true);
    expect(services.access.account("isla")?.role).toBe("keeper");
  });
});

describe("the first keeper", () => {
  const come = (code: string, name = "Wyn Sorrel") =>
    firstKeeper(services, { name, code, password: PASSWORD }, at());
  it("comes in by the code of this start, and is one of the crew; then there is no such code", async () => {
    expect(firstCode(services)).toBeUndefined();
    services.access.switch("sign-in", true);
    const code = firstCode(services)!;
    expect(kindOf(await come("ABCDE-FGHJK"))).toBe("wrong-code");
    const came = await come(code.toLowerCase());
    expect(came.ok && enteredBy(services, came.value)).toMatchObject({ name: "Wyn Sorrel", role: "keeper" });
    expect(services.library.crew().some(({ name }) => name === "Wyn Sorrel")).toBe(true);
    expect(firstCode(services)).toBeUndefined();
    expect(kindOf(await come(code, "Another"))).toBe("keeper-is-there");
  });
  it("switches sign-in on for this machine, and off again", async () => {
    expect(signInNeeded(services)).toBe(false);
    const isla = { id: "isla", name: "Isla Venn" };
    const weak = await switchOn(services, isla, { password: "isla venn", device: at().device });
    expect(weak).toMatchObject({ ok: false, error: [{ path: "/password" }] });
    const on = await switchOn(services, isla, { password: PASSWORD, device: at().device });
    expect(on.ok && enteredBy(services, on.value!)).toMatchObject({ name: "Isla Venn", role: "keeper" });
    expect(signInNeeded(services)).toBe(true);
    expect(switchOff(services, "Isla Venn").ok).toBe(true);
    expect(signInNeeded(services)).toBe(false);
  });
  it("cannot switch it off where others reach the server", async () => {
    process.env.LOFTBELL_OPEN_TO_NETWORK = "yes";
    try {
      expect(switchOff(services, "Isla Venn").ok).toBe(false);
      expect(signInNeeded(services)).toBe(true);
    } finally {
      delete process.env.LOFTBELL_OPEN_TO_NETWORK;
    }
  });
});

describe("a seal", () => {
  it("is read back, and nothing else is", async () => {
    const seal = await sealed(services, { session: "id-1" }, 0);
    expect(await unsealed(services, seal)).toEqual({ session: "id-1" });
    expect(await unsealed(services, `${seal.slice(0, -2)}xx`)).toEqual({});
    expect(await unsealed(services, "nonsense")).toEqual({});
    passingSeals(services);
    expect(await unsealed(services, seal)).toEqual({});
  });
  it("lets a calendar in until there is another password", async () => {
    await letIn("isla", "keeper");
    const key = await feedKey(services, "isla");
    expect(await enteredByFeed(services, key)).toMatchObject({ name: "Isla Venn", role: "reader" });
    expect(await enteredByFeed(services, await sealed(services, { session: "id-1" }, 0))).toBeUndefined();
    const code = await handCode(services, "isla", "x");
    await byCode(
      services,
      { name: "Isla Venn", code: code.ok ? code.value.code : "", password: "a new one, long" },
      at(),
    );
    expect(await enteredByFeed(services, key)).toBeUndefined();
  });
});
