import { heldBy } from "./browser";
import { soundForAll } from "./quick-axe";
import { TestServer } from "./server";
import { expect, type Page, test, until } from "./test";

const server = new TestServer("demo");
test.beforeAll(() => server.start());
test.afterAll(() => server.end());
test.use({ storageState: heldBy("Tam Arkle") });

const opened = async (page: Page, tag: string, complaint: RegExp) => {
  await page.goto(`${server.url}/valves/${tag}/trouble`);
  await until(
    () => page.getByRole("button", { name: complaint }).click({ timeout: 1000 }),
    page.getByRole("region", { name: "What it may be" }),
  );
};

const onTelephone = (page: Page) =>
  until(
    () => page.getByRole("button", { name: "Somebody is on the telephone" }).click({ timeout: 1000 }),
    page.getByRole("button", { name: "Somebody is on the telephone", pressed: true }),
  );

test("a shut cock is found in one look, put right, and kept", async ({ page }) => {
  await page.goto(`${server.url}/`);
  await page.getByRole("link", { name: "Something is wrong" }).click();
  await until(() => page.getByRole("searchbox").fill("MG-A1"), page.getByRole("link", { name: /MG-A1/ }));
  await page.getByRole("link", { name: /MG-A1/ }).click();
  await opened(page, "MG-A1", /No air comes/);
  await expect(page.getByRole("heading", { name: "Is the cock under it open?" })).toBeVisible();
  await page.getByRole("button", { name: /^Shut/ }).click();
  await expect(page.getByRole("heading", { name: /The stop next to it was shut/ })).toBeVisible();
  await expect(page.getByText(/Somebody may have shut it for a reason/)).toBeVisible();
  await expect(page.getByText("1 look · 1 min so far")).toBeVisible();
  await soundForAll(page);
  await page.getByRole("button", { name: "Done, it works" }).click();
  await expect(page.getByText("Kept, with what was looked at.")).toBeVisible();
  await page.getByRole("link", { name: "Back to MG-A1" }).click();
  await page.getByRole("link", { name: "For the customer" }).first().click();
  await expect(page.getByRole("heading", { name: "What was wrong, and what we did" })).toBeVisible();
  await expect(page.getByText(/Takes about 5 min of work. Nobody goes without/)).toBeVisible();
  await soundForAll(page);
  await page.goBack();
  await expect(page.getByText("“No air comes when the main is filled”")).toBeVisible();
});

test("a cold coil is not condemned, and any answer can be changed", async ({ page }) => {
  await opened(page, "MG-P3", /The far bed stays dry/);
  await page.getByRole("button", { name: /^No click/ }).click();
  await page.getByRole("button", { name: /What is the coil's resistance/ }).click();
  await page.getByRole("textbox", { name: "Resistance" }).fill("20.5");
  await page.getByRole("textbox", { name: "Coil's temperature" }).fill("-5 °C");
  await page.getByRole("button", { name: "Take this figure" }).click();
  const known = page.getByRole("heading", { name: "Known" }).locator("..");
  // 20.5 Ω lies under its band of 22 to 44 Ω; at 20 °C it would be 22.4 Ω.
  await expect(known.getByText(/20\.5 Ω.*: sound/)).toBeVisible();
  const coil = page.getByRole("button", { name: /The pilot coil has shorted turns/ });
  await coil.click();
  await expect(page.getByText(/times less likely/).first()).toBeVisible();
  await page.getByRole("button", { name: /Change: What is the coil/ }).click();
  await page.getByRole("textbox", { name: "Resistance" }).fill("20.5");
  await page.getByRole("textbox", { name: "Coil's temperature" }).fill("20 °C");
  await page.getByRole("button", { name: "Take this figure" }).click();
  await expect(known.getByText(/20\.5 Ω.*: shorted turns/)).toBeVisible();
  // A reload loses nothing.
  await page.reload();
  await expect(known.getByText(/20\.5 Ω.*: shorted turns/)).toBeVisible();
  await until(
    () => page.getByRole("button", { name: /^Stop looking: The coil is gone/ }).click({ timeout: 1000 }),
    page.getByRole("heading", { name: "The coil is gone: renew it." }),
  );
  // Without the server its job does not begin, and it is said what does.
  await page.context().setOffline(true);
  await page.getByRole("button", { name: "Go on to the job" }).click();
  await expect(page.getByText(/The server does not answer\. What was found stays here/)).toBeVisible();
  await expect(page.getByRole("link", { name: "Start a job on MG-P3 by hand" })).toHaveAttribute(
    "href",
    "/valves/MG-P3/start",
  );
  await page.context().setOffline(false);
  await page.getByRole("button", { name: "Go on to the job" }).click();
  await expect(page.getByText("It comes of a complaint")).toBeVisible();
  await expect(page.getByText(/not asked again: .*click.*resistance/i)).toBeVisible();
});

test("what asks for a paper is not asked of somebody without it, until somebody who has it is there", async ({
  page,
}) => {
  await opened(page, "RW-G21", /It will not turn/);
  const only = page.getByRole("note").filter({ hasText: "Only who may work on gas" });
  await expect(only.getByText("Tam Arkle may not.")).toBeVisible();
  await only.getByRole("button", { name: "Isla Venn is here" }).click();
  await expect(only).toBeHidden();
});

test("a smell of gas goes to its acts at once", async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await opened(page, "RW-G21", /It smells of gas/);
  await expect(page.getByRole("alert").filter({ hasText: "Gas: people first." })).toBeVisible();
  await expect(page.getByText(/Everybody out/)).toBeVisible();
  await page.getByRole("button", { name: "It is handed over" }).click();
  await expect(page.getByText(/Write a name/)).toBeVisible();
  await page.getByLabel(/Who took it on/).fill("Emergency service, 14:05");
  await page.getByRole("button", { name: "It is handed over" }).click();
  await expect(page.getByText("Kept, with what was looked at.")).toBeVisible();
});

test("on the telephone only what a caller can see is asked; without the server it waits and is sent later", async ({
  page,
}) => {
  await page.goto(`${server.url}/valves/HL-V1/trouble`);
  await onTelephone(page);
  await page.getByLabel("What do they say?").fill("no heat in the reading room");
  await page.getByRole("button", { name: /The radiator stays cold/ }).click();
  await expect(page.getByText(/Only what a caller can see is asked/)).toBeVisible();
  await expect(page.getByText("“no heat in the reading room”")).toBeVisible();
  // The network is gone: judging goes on, and what is ended waits on the device.
  await page.context().setOffline(true);
  const others = page.getByRole("button", { name: /Are the other radiators warm/ });
  if (await others.isVisible()) await others.click();
  await page.getByRole("button", { name: /^All are cold/ }).click();
  await expect(page.getByText(/1 look/)).toBeVisible();
  await page.getByRole("button", { name: "For the customer" }).click();
  await expect(page.getByRole("heading", { name: "What we think" })).toBeVisible();
  await expect(page.getByRole("button", { name: "Print on A4" })).toBeVisible();
  await page.getByRole("button", { name: "Back to the looks" }).click();
  const stop = page.getByRole("button", { name: /^Stop looking/ });
  if (await stop.isVisible()) await stop.click();
  const doing = page.getByRole("region", { name: "What to do" });
  await expect(doing.getByText("No vapour comes to any radiator.")).toBeVisible();
  await doing.getByLabel("Who answered").fill("Keeper of the library");
  await doing.getByRole("button", { name: "They know of it" }).click();
  await expect(page.getByText("It waits on this device.")).toBeVisible();
  await page.context().setOffline(false);
  await expect(page.getByText("Kept, with what was looked at.")).toBeVisible();
  await page.goto(`${server.url}/valves/HL-V1`);
  await expect(page.getByText(/handed to Keeper of the library/)).toBeVisible();
  // What came of it is written down by whoever hears of it.
  await until(
    () => page.getByRole("button", { name: "What came of it" }).click({ timeout: 1000 }),
    page.getByRole("textbox", { name: "What came of it" }),
  );
  await page.getByLabel("What came of it").fill("Boiler was locked out; reset.");
  await page.getByRole("button", { name: "Write it down" }).click();
  await expect(page.getByText(/Tam Arkle: Boiler was locked out/)).toBeVisible();
});

test("from a telephone call to a packed van: the chance to finish on the first visit, and what makes it", async ({
  page,
}) => {
  await page.goto(`${server.url}/valves/MG-P3/trouble`);
  await onTelephone(page);
  await page.getByRole("button", { name: /The far bed stays dry/ }).click();
  const bring = page.getByRole("region", { name: "What to bring" });
  const chance = async () =>
    Number(
      /^(\d+) in 100 finished/.exec(
        await bring
          .getByText(/finished on this visit$/)
          .first()
          .innerText(),
      )?.[1],
    );
  await expect(bring.getByText(/in 100 finished on this visit/)).toBeVisible();
  await bring.getByRole("checkbox", { name: /Multimeter/ }).check();
  const before = await chance();
  expect(before).toBeGreaterThan(30);
  // The cock is open: the likeliest thing that needs no part is out, and more hangs on what is brought.
  await page.getByRole("button", { name: /^Open/ }).click();
  await expect.poll(chance).not.toBe(before);
  await expect(bring.getByRole("checkbox", { name: /Multimeter/ })).toBeChecked();
  await expect(bring.getByText(/The coil is gone: renew it/).first()).toBeVisible();
  // A tick moves nothing under the thumb, and asks nothing anew.
  await bring.getByRole("checkbox").last().check();
  const place = await page.evaluate(() => window.scrollY);
  await bring.getByRole("checkbox").nth(-2).check();
  await page.waitForTimeout(300);
  expect(await page.evaluate(() => window.scrollY)).toBe(place);
  for (const box of await bring.getByRole("checkbox").all()) await box.check();
  await expect(bring.getByText("All of it is packed.")).toBeVisible();
  await soundForAll(page);
  await page.reload();
  await expect(bring.getByText("All of it is packed.")).toBeVisible();
  // On the spot nothing is packed any more, until it is asked for.
  await page.getByRole("button", { name: "I am there now" }).click();
  await expect(bring).toBeHidden();
});

test("what may be wrong is edited, proven while it is, kept as the next revision and undone", async ({
  page,
}) => {
  await page.goto(`${server.url}/loft/trouble`);
  await expect(page.getByRole("heading", { name: "Said and was" })).toBeVisible();
  await page.getByRole("link", { name: /Large irrigation valve/ }).click();
  const cause = page.locator("summary", { hasText: "The stop next to it is shut" });
  await until(
    () => cause.click({ timeout: 1000 }),
    page.getByRole("textbox", { name: /The far bed stays dry/ }).first(),
  );
  const often = page.getByRole("textbox", { name: /The far bed stays dry/ }).first();
  await often.fill("0");
  await expect(page.getByText("One thing to mend before it can be saved.")).toBeVisible();
  await expect(page.getByRole("button", { name: "Save" })).toBeDisabled();
  await often.fill("44");
  await expect(page.getByRole("button", { name: "Save" })).toBeEnabled();
  await soundForAll(page);
  await page.getByRole("button", { name: "Save" }).click();
  await expect(page.getByText(/Kept as revision 2/)).toBeVisible();
  await expect(page.getByText(/revision 2\. Nothing is stored/)).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).last().click();
  await expect(page.getByText(/revision 1\. Nothing is stored/)).toBeVisible();
});
