import { beforeEach, describe, expect, it } from "vitest";
import { addPerson } from "./own/add-person";
import { personNamed, strangers } from "./people";
import { passingServices, type Services } from "./services";

let services: Services;
beforeEach(() => {
  services = passingServices(() => Date.parse("2027-03-01T09:00:00Z"));
});
const add = (name: string, may = "hydrants") => addPerson(services, { name, may }, "Tam Arkle");
const added = (name: string) => {
  const person = add(name);
  if (!person.ok) throw new Error(JSON.stringify(person.error));
  return person.value;
};

describe("adding to the crew", () => {
  it("makes an id of the name, without accents, and numbers it where it is taken", () => {
    expect(added("Tam Arkle").id).toBe("tam-arkle");
    expect(added("Tam  Arkle (night)").id).toBe("tam-arkle-night");
    expect(added("Tam Arkle, night").id).toBe("tam-arkle-night-2");
    expect(added("Zoë Bréhat").id).toBe("zoe-brehat");
    expect(added("李 明").id).toBe("person");
    expect(added("王 芳").id).toBe("person-2");
  });

  it("keeps one space between words and none around", () => {
    expect(added("  Isla \t Venn ")).toMatchObject({ id: "isla-venn", name: "Isla Venn" });
    expect(services.library.people()).toEqual([{ id: "isla-venn", name: "Isla Venn", may: "hydrants" }]);
  });

  it.each([
    ["", /Write the name/],
    ["   ", /Write the name/],
    ["tam arkle", /is in the crew already/],
    ["  TAM   ARKLE ", /is in the crew already/],
  ])("%j is refused at the name, and nobody is added", (name, says) => {
    added("Tam Arkle");
    const refused = add(name);
    expect(refused.ok).toBe(false);
    if (refused.ok) return;
    expect(refused.error[0]).toMatchObject({ path: "/name", message: expect.stringMatching(says) });
    expect(services.library.people()).toHaveLength(1);
  });

  it("a very long name keeps all of itself; its id is cut", () => {
    const name = "Aldwyn".repeat(12);
    expect(added(name)).toMatchObject({ name, id: name.toLowerCase().slice(0, 40) });
  });
});

describe("who somebody is", () => {
  beforeEach(() => {
    added("Tam Arkle");
    added("Isla Venn");
  });

  it("is known by name or id, however it is written", () => {
    for (const said of ["Tam Arkle", " tam arkle", "TAM-ARKLE"])
      expect(personNamed(services, said)).toEqual({ id: "tam-arkle", name: "Tam Arkle" });
    for (const said of ["Tam", "", "tam_arkle", "%"]) expect(personNamed(services, said)).toBeUndefined();
  });

  it("a name on an entry is taken only as it stands in the crew; each stranger is told by his place", () => {
    const told = strangers(services, ["Tam Arkle", "tam arkle", "Nobody", "Isla Venn"]);
    expect(told.map(({ index }) => index)).toEqual([1, 2]);
    expect(told[0]!.message).toContain('Nobody of the crew is called "tam arkle"');
  });

  it("with no crew at all it says what to do first", () => {
    const empty = passingServices(() => 0);
    expect(strangers(empty, ["Tam Arkle"])[0]!.message).toContain("Add yourself in the Loft first");
  });
});
