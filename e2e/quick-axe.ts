import { expect, type Page } from "@playwright/test";
import axe from "axe-core";

/** Selectors of what is looked at, and of what is not. */
interface Where {
  readonly include?: readonly string[];
  readonly exclude?: readonly string[];
}

/** What axe answers, as far as it is read here. */
interface Found {
  readonly violations: readonly {
    readonly id: string;
    readonly impact?: string | null;
    readonly nodes: readonly { readonly html: string }[];
  }[];
}

/**
 * What whoever reads by ear or by keyboard would be stopped by, by all of axe's rules. Asked of the page itself, which has
 * no frames: going through them by the usual builder takes as long as the looking.
 */
export async function seriousFor(
  page: Page,
  { include = ["html"], exclude = [] }: Where = {},
): Promise<string[]> {
  if (!(await page.evaluate(() => "axe" in window))) await page.evaluate(axe.source);
  const { violations }: Found = await page.evaluate(
    (where) =>
      (window as unknown as { axe: { run: (where: unknown, options: unknown) => Promise<Found> } }).axe.run(
        where,
        { resultTypes: ["violations"] },
      ),
    { include, exclude },
  );
  return violations
    .filter(({ impact }) => impact === "serious" || impact === "critical")
    .map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 120)).join(" | ")}`);
}

/** The page as it stands: nothing serious for whoever reads it by ear or by keyboard. */
export const soundForAll = async (page: Page): Promise<void> => expect(await seriousFor(page)).toEqual([]);
