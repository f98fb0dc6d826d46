import type { Page } from "@playwright/test";

/** What is pressed on a card, and is smaller than a glove. */
export const tooSmall = (page: Page) =>
  page.evaluate(() =>
    [
      ...document.querySelectorAll<HTMLElement>(
        "main button, main a[href], main summary, main input, header a, header button",
      ),
    ]
      .filter((each) => each.checkVisibility() && !each.closest(".skip, svg"))
      // A link in a sentence is text.
      .filter((each) => getComputedStyle(each).display !== "inline")
      .flatMap((each) => {
        const { width, height } = each.getBoundingClientRect();
        // What is read out only has one pixel.
        return width > 1 && Math.min(width, height) < 47.5
          ? [`${each.innerText || each.ariaLabel} ${Math.round(width)}×${Math.round(height)}`]
          : [];
      }),
  );
