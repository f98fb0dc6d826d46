import AxeBuilder from "@axe-core/playwright";
import { expect, type Page } from "@playwright/test";

/** All of axe's rules, without what takes time here for nothing: pages have no frames, and only violations are read. */
export const quickAxe = (page: Page): AxeBuilder =>
  new AxeBuilder({ page }).setLegacyMode(true).options({ resultTypes: ["violations"] });

/** The page as it stands: nothing serious for whoever reads it by ear or by keyboard. */
export async function soundForAll(page: Page): Promise<void> {
  const { violations } = await quickAxe(page).analyze();
  const serious = violations.filter((each) => each.impact === "serious" || each.impact === "critical");
  expect(serious.map((each) => `${each.id}: ${each.nodes.map((node) => node.html).join(" | ")}`)).toEqual([]);
}
