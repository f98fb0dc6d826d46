import { expect, type Locator, type Page } from "@playwright/test";

/** Figures a sound valve gives, by the start of the headline that asks for them. */
const SOUND: Readonly<Record<string, string>> = {
  "Measure the thinner collar": "8.8 mm",
  "Read the cap gauge": "4.4 bar",
  "Open the outlet valve fully": "9.8",
  "Shut the hydrant, take one cap off": "6 min",
};

/** What a technician does on the job card, by what stands on it. */
export class Technician {
  constructor(readonly page: Page) {}

  get card(): Locator {
    return this.page.getByRole("region", { name: "The step" });
  }

  get headline(): Locator {
    return this.card.getByRole("heading", { level: 1 });
  }

  /** The wide button. */
  get wide(): Locator {
    return this.card.locator("button[type=submit]");
  }

  async press(): Promise<void> {
    await this.wide.click();
  }

  async choose(option: string): Promise<void> {
    await this.card.getByRole("button", { name: option, exact: true }).click();
    await this.press();
  }

  async fill(text: string): Promise<void> {
    await this.card.getByRole("textbox").fill(text);
    await this.press();
  }

  async title(): Promise<string> {
    return (await this.headline.innerText()).trim();
  }

  /** Waits until the card has moved on from a headline. */
  async movedFrom(title: string): Promise<void> {
    await expect(this.headline).not.toHaveText(title);
  }

  /** Does steps well, whatever they ask, until the headline matches; answers override the usual ones by headline. */
  async until(matches: RegExp, answers: Readonly<Record<string, string>> = {}): Promise<void> {
    for (let guard = 0; guard < 160; guard++) {
      const title = await this.title();
      if (matches.test(title)) return;
      await this.step(title, answers);
    }
    throw new Error(`never came to ${matches}`);
  }

  private async step(title: string, answers: Readonly<Record<string, string>>): Promise<void> {
    const given = Object.entries({ ...SOUND, ...answers }).find(([start]) => title.startsWith(start))?.[1];
    const options = this.card.locator("fieldset button");
    const box = this.card.getByRole("textbox");
    if ((await options.count()) > 0)
      await (given === undefined
        ? options.first()
        : this.card.getByRole("button", { name: given, exact: true })
      ).click();
    else if ((await box.count()) > 0) await box.fill(given ?? (/gauge|zero/i.test(title) ? "0" : "14"));
    const bolts = /pass \d of|last round of/.test(title) ? await this.wide.innerText() : undefined;
    await this.press();
    if (bolts === undefined) await this.movedFrom(title);
    else
      await expect(async () =>
        expect((await this.title()) + (await this.wide.innerText())).not.toBe(title + bolts),
      ).toPass();
  }
}
