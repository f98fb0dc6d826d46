import AxeBuilder from "@axe-core/playwright";
import type { Page } from "@playwright/test";

/** All of axe's rules, without what takes time here for nothing: pages have no frames, and only violations are read. */
export const quickAxe = (page: Page): AxeBuilder =>
  new AxeBuilder({ page }).setLegacyMode(true).options({ resultTypes: ["violations"] });
