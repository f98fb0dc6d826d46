/**
 * Who may store. The database takes one writer at a time: entries and the like come by turns of a moment each, beside each
 * other; what stores for seconds in a process or thread of its own is alone meanwhile, and the others wait without holding
 * anything up.
 */
export class Turns {
  #inside = 0;
  /** Resolved when the one who is alone, or wants to be, is through. */
  #alone: Promise<void> | undefined;
  #empty: (() => void) | undefined;

  async shared<T>(work: () => T | Promise<T>): Promise<T> {
    while (this.#alone !== undefined) await this.#alone;
    this.#inside += 1;
    try {
      return await work();
    } finally {
      this.#inside -= 1;
      if (this.#inside === 0) this.#empty?.();
    }
  }

  async alone<T>(work: () => T | Promise<T>): Promise<T> {
    while (this.#alone !== undefined) await this.#alone;
    let through = () => {};
    this.#alone = new Promise((resolve) => {
      through = resolve;
    });
    try {
      if (this.#inside > 0)
        await new Promise<void>((resolve) => {
          this.#empty = resolve;
        });
      return await work();
    } finally {
      this.#empty = undefined;
      this.#alone = undefined;
      through();
    }
  }
}
