import { expect, type Locator, type Page } from "@playwright/test";
import type { TestServer } from "./server";

/** Figures a sound valve gives, by the start of the headline that asks for them. */
const SOUND: Readonly<Record<string, string>> = {
  "Measure the thinner collar": "8.8 mm",
  "Read the cap gauge": "4.4 bar",
  "Open the outlet valve fully": "9.8",
  "Shut the hydrant, take one cap off": "6 min",
  "How many pieces of the stack came out": "0",
};

/** Marks and sizes of the right new parts, by what the card asks for. */
const RIGHT: Readonly<Record<string, string | readonly string[]>> = {
  "Its outside diameter, measured": "104",
  "Its cross-section, measured": "7",
  "Its larger face, measured": "132",
  "Its smaller face, measured": "118",
  "Its colour mark": ["two green dots", "one blue dot"],
};

/** A card as it asks for the next thing to do. */
interface Face {
  /** All of the card is there, not its headline alone. */
  readonly whole: boolean;
  readonly title: string;
  readonly wide: string;
  readonly options: number;
  readonly boxes: number;
  readonly asks: number;
  readonly warmth: boolean;
  readonly leftover: boolean;
  /** A photograph is asked for before anything is noted. */
  readonly photo: boolean;
  /** Something is counted on this card, and nothing was yet. */
  readonly toCount: boolean;
}

/** What is counted on a card: choices, fields, questions that are not said yes to, counters. */
const COUNTED = [
  "fieldset button:not([data-tick])",
  "textarea, input:not([type=file], [type=checkbox], [type=radio], [role=combobox])",
  "[data-ask]:not([aria-pressed=true])",
  "output",
];

/** Longer than a button has to be held. */
const HELD_MS = 900;

/** The smallest photograph there is. */
const DOT =
  "iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==";

/** What a technician does on the job card, by what stands on it. */
export class Technician {
  /** @param server whose clock is set ahead for waits that are sat out; the browser's clock has to be a set one, too */
  constructor(
    readonly page: Page,
    private readonly server?: TestServer,
  ) {}

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
    // What lets something loose is held.
    if ((await this.wide.getAttribute("data-hold")) === null) return this.wide.click();
    await expect(this.wide).toBeEnabled();
    await this.wide.hover();
    await this.page.mouse.down();
    await this.held();
    await this.page.mouse.up();
  }

  /** As long as the button asks for: on a busy host it fills later than a clock says. */
  protected async held(): Promise<void> {
    await this.page.waitForTimeout(HELD_MS);
    await expect(this.wide.locator(".hold-fill")).toHaveCount(0);
  }

  async tap(button: Locator): Promise<void> {
    await button.click();
  }

  async write(box: Locator, text: string): Promise<void> {
    await box.fill(text);
  }

  /** Puts the name under the job: it is asked for again, whoever holds the device. */
  async sign(name = "Tam Arkle"): Promise<void> {
    await this.write(this.card.getByRole("combobox", { name: "Write your name to sign" }), name);
    await this.press();
  }

  async choose(option: string): Promise<void> {
    await this.tap(this.card.getByRole("button", { name: option, exact: true }));
    await this.press();
  }

  async fill(text: string): Promise<void> {
    await this.write(this.card.getByRole("textbox").first(), text);
    await this.press();
  }

  async title(): Promise<string> {
    return (await this.headline.innerText()).trim();
  }

  /** All that decides what is done next, read in one go: a host that is busy is slow to answer each question. */
  private face(): Promise<Face> {
    return this.card.evaluate((card, counted) => {
      const said = (card as HTMLElement).innerText;
      const [options, boxes, asks, zeros] = counted.map(
        (selector) =>
          [...card.querySelectorAll(selector)].filter(
            (each) => each.checkVisibility() && (each.tagName !== "OUTPUT" || each.textContent === "0"),
          ).length,
      ) as [number, number, number, number];
      return {
        whole: card.querySelector("[aria-busy=true]") === null,
        title: card.querySelector<HTMLElement>("h1")?.innerText.trim() ?? "",
        wide: card.querySelector<HTMLElement>("button[type=submit]")?.innerText.trim() ?? "",
        options,
        boxes,
        asks,
        warmth: said.includes("Temperature of the pipe"),
        leftover: said.includes("Right to be left over"),
        photo: said.includes("Photograph it first"),
        toCount: zeros > 0,
      };
    }, COUNTED);
  }

  /** The card when all of it is there: at half a card nothing can be done. */
  private async wholeFace(): Promise<Face> {
    let face: Face | undefined;
    await expect(async () => {
      face = await this.face();
      expect(face.whole).toBe(true);
    }).toPass({ intervals: [20, 40, 80, 150], timeout: 20_000 });
    return face!;
  }

  /** Waits until a press has been taken: headline or wide button change with each. */
  private async movedFrom({ title, wide }: Face): Promise<void> {
    await expect(async () => {
      const now = await this.face();
      expect(now.whole).toBe(true);
      expect(now.title + now.wide).not.toBe(title + wide);
    }).toPass({ intervals: [20, 40, 80, 150], timeout: 20_000 });
  }

  /** Does steps well, whatever they ask, until the headline matches; answers override the usual ones by headline. */
  async until(
    matches: RegExp,
    answers: Readonly<Record<string, string>> = {},
    seen: (title: string) => void = () => {},
  ): Promise<void> {
    for (let guard = 0; guard < 160; guard++) {
      const face = await this.wholeFace();
      if (matches.test(face.title)) return;
      seen(face.title);
      await this.step(face, answers);
    }
    throw new Error(`never came to ${matches}`);
  }

  /** Both questions of work under pressure; the pieces that are right to be left on the bench. */
  private async alsoAsked({ asks, leftover }: Face): Promise<void> {
    const unticked = this.card.locator("[data-tick][aria-pressed=false]");
    for (let left = await unticked.count(); left > 0; left--) {
      await this.tap(unticked.first());
      await expect(unticked).toHaveCount(left - 1);
    }
    const swing = this.card.locator("[data-swing]");
    if ((await swing.count()) > 0) await this.swing(swing);
    if (asks > 0)
      for (const question of await this.card.locator("[data-ask]").all())
        if ((await question.getAttribute("aria-pressed")) !== "true") await this.tap(question);
    if (!leftover) return;
    const leftovers = this.card.locator("dl > div", { hasText: "Right to be left over" }).locator("dd");
    for (let left = Number(await leftovers.innerText()); left > 0; left--)
      await this.tap(this.card.getByRole("button", { name: "Pieces left on the bench: one more" }));
  }

  /** Counted in, turned, round. */
  async swing(button: Locator): Promise<void> {
    await this.tap(button);
    await this.tap(this.card.getByRole("button", { name: "It is round" }));
    await expect(this.card.getByText(/^Round in \d/)).toBeVisible();
  }

  /** The new part, compared by its marks and sizes before it goes in. */
  async compare(found: Readonly<Record<string, string | readonly string[]>> = RIGHT): Promise<void> {
    const card = this.card.getByRole("region", { name: "Compare the new part" });
    for (const [label, value] of Object.entries(found)) {
      const box = card.getByRole("textbox", { name: label });
      const values = typeof value === "string" ? [value] : value;
      if ((await box.count()) > 0) await this.write(box, values[0]!);
      const group = card.getByRole("group", { name: label });
      for (const each of values) {
        const mark = group.getByRole("button", { name: each, exact: true });
        if ((await mark.count()) > 0) await this.tap(mark);
      }
    }
    await this.press();
  }

  /** Each piece of a stack, from the bottom up, with the same answer. */
  private async eachPiece({ title }: Face, given: string | undefined): Promise<void> {
    for (let piece = 1; (await this.title()) === title; piece++) {
      await expect(async () => {
        const now = (await this.card.textContent()) ?? "";
        expect(now.includes(`Piece ${piece} of`) || (await this.title()) !== title).toBe(true);
      }).toPass({ timeout: 20_000 });
      if ((await this.title()) !== title) return;
      await this.tap(
        given === undefined
          ? this.card.locator("fieldset button").first()
          : this.card.getByRole("button", { name: given, exact: true }),
      );
    }
  }

  /** Begins on what can hurt others: as one who may, or under the eye of the first who may. */
  async signOn(): Promise<void> {
    await this.card
      .getByRole("button", { name: /: I may, and I do it$|watches over it$/ })
      .first()
      .click();
  }

  /** A photograph from the device. */
  async photograph(): Promise<void> {
    await this.card.locator("input[type=file]").setInputFiles({
      name: "as-found.png",
      mimeType: "image/png",
      buffer: Buffer.from(DOT, "base64"),
    });
    await expect(this.card.getByRole("img", { name: /^Photograph/ }).first()).toBeVisible();
  }

  /** A wait that runs, sat out by a server whose clock has gone on. */
  private async sitOut(): Promise<void> {
    if (this.server === undefined) throw new Error("a wait, and no server whose clock could be set ahead");
    const left = this.card.getByRole("img", { name: /minutes \d+ seconds left$/ });
    const minutes = Number.parseInt((await left.getAttribute("aria-label")) ?? "", 10) + 1;
    if (this.server.isUp) await expect(this.page.getByText("saved", { exact: true })).toBeVisible();
    await this.server.clockGoesOn(minutes);
    await this.page.clock.fastForward(minutes * 60_000);
    // An answer that came between the two took the page's clock for a wrong one, and would date what follows ahead.
    await this.page.evaluate(() => localStorage.removeItem("loftbell.clock"));
    await expect(this.wide).toBeEnabled();
  }

  private async step(face: Face, answers: Readonly<Record<string, string>>): Promise<void> {
    const { title, wide } = face;
    if (title.startsWith("This is work on")) {
      await this.signOn();
      await this.movedFrom(face);
      return;
    }
    if (title.startsWith("A second person")) {
      await this.sign("Isla Venn");
      await this.movedFrom(face);
      return;
    }
    if (wide.startsWith("The wait runs")) {
      await this.sitOut();
      return;
    }
    if (wide.startsWith("Start the wait")) {
      await this.press();
      await this.movedFrom(face);
      return;
    }
    const given = Object.entries({ ...SOUND, ...answers }).find(([start]) => title.startsWith(start))?.[1];
    if (wide.startsWith("Compare")) {
      await this.compare({ ...RIGHT, ...answers });
      return;
    }
    if (wide.startsWith("Say it of each piece")) {
      await this.eachPiece(face, given);
      return;
    }
    if (face.photo) await this.photograph();
    if (face.options > 0)
      await this.tap(
        given === undefined
          ? this.card.locator("fieldset button").first()
          : this.card.getByRole("button", { name: given, exact: true }),
      );
    else if (face.boxes > 0)
      await this.card
        .getByRole("textbox")
        .first()
        .fill(given ?? (/gauge|zero/i.test(title) ? "0" : "14"));
    if (face.warmth)
      await this.write(this.card.getByRole("textbox", { name: "Temperature of the pipe" }), "5 °C");
    if (face.toCount && !face.leftover)
      await this.tap(this.card.getByRole("button", { name: /: one more$/ }));
    await this.alsoAsked(face);
    const before = await this.face();
    await this.press();
    await this.movedFrom(before);
  }
}
