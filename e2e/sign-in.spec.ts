import { keepPerson } from "@/server/register/keep-documents";
import { soundForAll } from "./quick-axe";
import { filledBy, TestServer } from "./server";
import { type Browser, expect, type Page, test, until } from "./test";

const crew = filledBy((services) => {
  for (const [id, name] of [
    ["ina", "Ina Lund"],
    ["tam", "Tam Arkle"],
    ["mara", "Mara Sund"],
  ] as const)
    keepPerson(services, { id, name, may: "Hydrants" });
});
const server = new TestServer("own", false, crew, { LOFTBELL_SIGN_IN: "yes" });
// Who was let in first is there afterwards.
test.describe.configure({ mode: "serial" });
test.beforeAll(() => server.start());
test.afterAll(() => server.end());

const HAND = { width: 390, height: 844 };
const newPage = async (browser: Browser, viewport = { width: 1280, height: 800 }, baseURL = server.url) =>
  (await browser.newContext({ baseURL, viewport })).newPage();

async function comeIn(page: Page, name: string, password: string): Promise<void> {
  await page.getByLabel("Name", { exact: true }).fill(name);
  await page.getByLabel("Password").fill(password);
  await page.getByRole("button", { name: "Sign in", exact: true }).click();
}

/** The code that is shown once, for somebody who is let in as something. */
async function letIn(keeper: Page, name: string, role: string): Promise<string> {
  await keeper.goto("/loft/access");
  const handed = keeper.getByRole("dialog", { name: `A code for ${name}` });
  const as = keeper.getByLabel(`${name} signs in as`);
  await until(async () => {
    await as.selectOption("");
    await as.selectOption(role);
  }, handed);
  const code = await handed.getByText(/^[2-9A-Z]{5}-[2-9A-Z]{5}$/).innerText();
  await handed.getByRole("button", { name: "It is handed over" }).click();
  return code;
}

async function comeInByCode(page: Page, name: string, code: string, password: string): Promise<void> {
  await page.goto("/");
  const own = page.getByLabel("A password of your own");
  await until(() => page.getByRole("button", { name: "I have a code from a keeper" }).click(), own);
  await page.getByLabel("Code").fill(code);
  await page.getByLabel("Your name").fill(name);
  await own.fill(password);
  await page.getByRole("button", { name: "Choose it and sign in" }).click();
  await expect(page.getByRole("link", { name: `${name}: your sign-in` }).first()).toBeVisible();
}

test("the first keeper comes in by the code of the start, lets others in, and each may what the role says", async ({
  browser,
}) => {
  const ina = await newPage(browser);
  await ina.goto("/valves");
  await expect(ina).toHaveURL(/\/sign-in\?to=%2Fvalves$/);
  await expect(ina.getByText("Tam Arkle")).toHaveCount(0);
  await soundForAll(ina);
  const code = /by this code: (\S+)/.exec(server.said)![1]!;
  await ina.getByLabel("Code").fill("22222-22222");
  await ina.getByLabel("Your name").fill("Ina Lund");
  await ina.getByLabel("A password of your own").fill("tide gate brass");
  await ina.getByRole("button", { name: "Become the first keeper" }).click();
  await expect(ina.getByText("Not this code for this name")).toBeVisible();
  await ina.getByLabel("Code").fill(code);
  await ina.getByRole("button", { name: "Become the first keeper" }).click();
  await expect(ina).toHaveURL(/\/valves$/);

  const technician = await letIn(ina, "Tam Arkle", "technician");
  const reader = await letIn(ina, "Mara Sund", "reader");
  await soundForAll(ina);

  const tam = await newPage(browser, HAND);
  await comeInByCode(tam, "Tam Arkle", technician, "skerry pump house");
  await tam.goto("/loft/backups");
  await expect(tam.getByText("This room is for keepers")).toBeVisible();
  await tam.goto("/places/new");
  await expect(tam.getByText(/A planner or above changes this/)).toBeVisible();
  await expect(tam.getByRole("button", { name: /^Add|^Save/ })).toBeDisabled();
  await tam.goto("/loft/import");
  await expect(tam.getByText(/A planner or above changes this/)).toBeVisible();
  const planned = await tam.request.put("/api/v1/places/Pit", { data: { row: { name: "Pit" } } });
  expect([planned.status(), (await planned.json()).title]).toEqual([403, "Not for you to do"]);
  expect((await tam.request.post("/api/v1/backups", { data: {} })).status()).toBe(403);

  const mara = await newPage(browser);
  await comeInByCode(mara, "Mara Sund", reader, "marram gardens east");
  expect((await mara.request.get("/api/v1/export/valves.csv")).status()).toBe(200);
  expect((await mara.request.post("/api/v1/jobs", { data: {} })).status()).toBe(403);

  // Nobody comes in by what is only said.
  const forged = { session: "s", person: "ina", name: "Ina Lund", role: "keeper", device: "d" };
  const outside = await fetch(`${server.url}/api/v1/backups`, {
    headers: { "loftbell-person": "ina", "x-loftbell-entered": encodeURIComponent(JSON.stringify(forged)) },
  });
  expect(outside.status).toBe(401);
});

test("a shared device: each by a PIN, both known there; a keeper signs one out; too many wrong ones lock", async ({
  browser,
}) => {
  const van = await newPage(browser, HAND);
  await van.goto("/me");
  await comeIn(van, "Tam Arkle", "skerry pump house");
  await until(async () => {
    await van.getByLabel("PIN", { exact: true }).fill("1234");
    await van.getByRole("button", { name: "Set the PIN" }).click();
  }, van.getByText("This PIN is the first that is guessed"));
  await van.getByLabel("PIN", { exact: true }).fill("4827");
  await van.getByRole("button", { name: "Set the PIN" }).click();
  await expect(van.getByText("You have one here")).toBeVisible();
  await soundForAll(van);
  await van.getByRole("button", { name: "Sign out" }).click();
  await van.waitForURL(/\/sign-in$/);
  await until(
    () => van.getByRole("button", { name: "Tam Arkle" }).click(),
    van.getByRole("heading", { name: "Tam Arkle" }),
  );
  await soundForAll(van);
  for (const figure of "4828") await van.getByRole("button", { name: figure, exact: true }).click();
  await van.getByRole("button", { name: "Sign in" }).click();
  await expect(van.getByText("4 tries are left")).toBeVisible();
  await van.keyboard.type("4827");
  await van.getByRole("button", { name: "Sign in" }).click();
  await expect(van.getByRole("link", { name: "Tam Arkle: your sign-in" }).first()).toBeVisible();

  const ina = await newPage(browser);
  await ina.goto("/loft/access");
  await comeIn(ina, "Ina Lund", "tide gate brass");
  const his = ina.getByRole("listitem").filter({ hasText: "by a PIN" }).filter({ hasText: "seen" });
  await expect(his).toHaveCount(1);
  await until(() => his.getByRole("button", { name: "End it" }).click(), his, 0);
  await van.goto("/jobs");
  await expect(van).toHaveURL(/\/sign-in\?to=%2Fjobs$/);

  const guess = await newPage(browser);
  await guess.goto("/");
  for (let time = 0; time < 6; time++) {
    await comeIn(guess, "Mara Sund", `guess ${time}`);
    await expect(guess.getByText(time < 5 ? /do not belong together/ : /Too often wrong/)).toBeVisible();
    await expect(guess.getByRole("button", { name: "Sign in", exact: true })).toBeEnabled();
  }
  await expect(guess.getByText(/Too often wrong for this name. Wait 15 minutes/)).toBeVisible();
  await ina.reload();
  await expect(ina.getByText("was locked out for 15 minutes").first()).toBeVisible();
});

test("a passkey signs in where the browser has them", async ({ browser }) => {
  const page = await newPage(browser, undefined, server.url.replace("127.0.0.1", "localhost"));
  const devtools = await page.context().newCDPSession(page);
  await devtools.send("WebAuthn.enable");
  await devtools.send("WebAuthn.addVirtualAuthenticator", {
    options: {
      protocol: "ctap2",
      transport: "internal",
      hasResidentKey: true,
      hasUserVerification: true,
      isUserVerified: true,
      automaticPresenceSimulation: true,
    },
  });
  await page.goto("/me");
  await comeIn(page, "Ina Lund", "tide gate brass");
  await page.getByLabel("Name of the device").fill("my phone");
  await page.getByRole("button", { name: "Make a passkey" }).click();
  await expect(page.getByText("my phone", { exact: true })).toBeVisible();
  await page.getByRole("button", { name: "Sign out" }).click();
  await page.getByRole("button", { name: "Sign in by passkey" }).click();
  await expect(page.getByRole("link", { name: "Ina Lund: your sign-in" }).first()).toBeVisible();
  await page.goto("/me");
  await expect(page.getByText("by a passkey")).toBeVisible();
  await page.getByRole("button", { name: "Take away" }).click();
  await expect(page.getByText("my phone", { exact: true })).toHaveCount(0);
});
