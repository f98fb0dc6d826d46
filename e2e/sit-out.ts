import { expect, type Page } from "@playwright/test";
import type { TestServer } from "./server";
import type { Technician } from "./technician";

/** The wait of the proof, sat out by a server whose clock has gone on. */
export async function sitOut(
  page: Page,
  tech: Technician,
  server: TestServer,
  minutes: number,
): Promise<void> {
  await tech.until(/^Shut .*and wait/);
  await tech.press();
  await expect(page.getByText("saved", { exact: true })).toBeVisible();
  await server.kill();
  await server.start(server.clockAhead + minutes + 1);
  await page.clock.fastForward((minutes + 1) * 60_000);
  await page.reload();
  await expect(tech.wide).toHaveText(/Wait is over/);
}
