import { type TObject, TypeGuard } from "@sinclair/typebox";
import { afterEach, beforeEach, describe, expect, it } from "vitest";
import { ROLES, type Role } from "@/core/people";
import { ok } from "@/core/result";
import { keepPerson } from "@/server/register/keep-documents";
import { passingServices, type Services } from "@/server/services";
import { CONTRACTS } from "./contracts";
import { ENTERED_HEADER, enteredHeader } from "./entered";
import { route } from "./route";

/** Who may do what, as it is meant to be: a use case that is not in it, or stands elsewhere in its contract, fails. */
const MEANT: Readonly<Record<Role | "nobody", string>> = {
  nobody: `health openapi schema signIn signInByPin signInByCode firstKeeper passkeyToUse signInByPasskey`,
  reader: `isolate planStrip planJob proveJob roundsDay roundsPlan houseRounds houseDay myDay whatIf roundsCalendar roundsCsv dayPdf dayGeoJson troubleNext troubleBring coverNeeds calculators calculate gasketTemplate job photo jobsCsv find
    paper edits template readings valvesCsv valveTags checkSheet sheet line bells live movements stockCsv movementsCsv
    label listCsv placesGeoJson calendar store signOut setPin changePassword passkeyToMake keepPasskey removePasskey
    endSession jobPdf isolationPdf labelsPdf takeAlong listInstruments`,
  technician: `openJob reportWork keepCase closeCase addEvents putPhoto putPiece keepResult takeBackResult reportFault addPaper undoEdit moveStock undoMovement
    receiveOrder`,
  planner: `savePlace removePlace saveInstrument removeInstrument saveMapping removeMapping addValves saveValve
    removeValve changeValves retireValves bringBackValves removePaper saveStore removeStore saveItem removeItem
    placeOrder closeOrder moveWork publishWeek planAgain saveTrouble shipTrouble saveSheet removeSheet newLine saveLine removeLine copyLine splitLine joinLine import`,
  keeper: `takeLeave savePerson removePerson saveHouse addPerson backups makeBackup lookAtBackup restoreBackup removeBackup
    takeBundle lookAtBundle bringBundle bundleProgress resetDemo giveRole makeCode takeAccount switchSignIn accessLog`,
};
const meantFor = new Map(
  Object.entries(MEANT).flatMap(([role, ids]) => ids.split(/\s+/).map((id) => [id, role] as const)),
);

const kept = globalThis as typeof globalThis & { loftbell?: Services };
beforeEach(() => {
  kept.loftbell = passingServices(() => 1_800_000_000_000);
  kept.loftbell.access.switch("sign-in", true);
  keepPerson(kept.loftbell, { id: "tam", name: "Tam Arkle", may: "All" });
});
afterEach(() => {
  delete kept.loftbell;
});

/** Something for each name in a path. */
const paramsOf = (params: TObject) =>
  Object.fromEntries(
    Object.entries(params.properties).map(([name, schema]) => [
      name,
      TypeGuard.IsInteger(schema) || TypeGuard.IsNumber(schema) ? "1" : "x",
    ]),
  );

/** What the handler of a contract answers to somebody with a role: the use case itself always says yes. */
async function statusFor(contract: (typeof CONTRACTS)[number], role: Role | undefined): Promise<number> {
  let reached = false;
  const handler = route(contract, () => {
    reached = true;
    return ok(null as never);
  });
  const headers = new Headers({ "content-type": "application/json", "loftbell-person": "tam" });
  if (role !== undefined)
    headers.set(
      ENTERED_HEADER,
      enteredHeader({ session: "s", person: "tam", name: "Tam Arkle", role, device: "d" }),
    );
  const answer = await handler(
    new Request("http://127.0.0.1:4180/x", {
      method: contract.method,
      headers,
      ...(contract.method !== "GET" && { body: "{}" }),
    }),
    { params: Promise.resolve(paramsOf(contract.params)) },
  );
  if (answer.status === 401 || answer.status === 403) expect(reached).toBe(false);
  return answer.status;
}

describe("role by use case", () => {
  it("holds every use case, and none that is not", () => {
    expect([...meantFor.keys()].sort()).toEqual(CONTRACTS.map(({ id }) => id).sort());
  });
  it.each(CONTRACTS.map((contract) => [contract.id, contract] as const))("%s", async (id, contract) => {
    const meant = meantFor.get(id) as Role | "nobody";
    const opened = meant === "nobody";
    const answers = [];
    for (const role of [undefined, ...ROLES]) answers.push(await statusFor(contract, role));
    const [outside, ...inside] = answers;
    // Nobody is let in by a name that is only said.
    expect(outside === 401).toBe(!opened);
    expect(inside.map((status) => status === 403)).toEqual(
      ROLES.map((role) => !opened && ROLES.indexOf(role) < ROLES.indexOf(meant)),
    );
  });
});

describe("where nobody has to sign in", () => {
  it("whoever works on this machine may do everything, as before", async () => {
    kept.loftbell!.access.switch("sign-in", false);
    for (const contract of CONTRACTS) expect([401, 403]).not.toContain(await statusFor(contract, undefined));
  });
  it("what somebody writes on the request for himself lets nobody in once it is needed, and no role is made up", async () => {
    const contract = CONTRACTS.find(({ id }) => id === "restoreBackup")!;
    expect(await statusFor(contract, "owner" as Role)).toBe(401);
  });
});
