/**
 * Lets in so many at a time, the others in the order they came. Drawing a page takes the serving thread a while: with many
 * drawn at once an entry from a job would wait behind all of them, and every page would come late instead of some.
 */
export class Turnstile {
  readonly #waiting: (() => void)[] = [];
  #inside = 0;

  constructor(private readonly most: number) {}

  /** Begins at once, or when there is room. @param begin is given what it has to call when it is through, once or more */
  enter(begin: (leave: () => void) => void): void {
    if (this.#inside >= this.most) {
      this.#waiting.push(() => this.enter(begin));
      return;
    }
    this.#inside += 1;
    let left = false;
    begin(() => {
      if (left) return;
      left = true;
      this.#inside -= 1;
      this.#waiting.shift()?.();
    });
  }
}
