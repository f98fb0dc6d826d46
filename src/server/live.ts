/** Tells whoever listens that something changed; what, they ask for themselves. */
export class Live {
  readonly #listeners = new Set<() => void>();
  #changes = 0;
  #fault: string | undefined;

  /** How often something changed since the server began: a screen that saw fewer is stale. */
  get changes(): number {
    return this.#changes;
  }

  /** Why the last storing failed, in words; nothing when it did not. */
  get fault(): string | undefined {
    return this.#fault;
  }

  /** Storing failed, or works again; whoever listens hears of it once. */
  failing(fault: string | undefined): void {
    if (fault === this.#fault) return;
    this.#fault = fault;
    this.changed();
  }

  /** In a process that only draws: as the one that serves tells it. */
  told(changes: number, fault: string | undefined): void {
    this.#changes = changes;
    this.#fault = fault;
  }

  changed(): void {
    this.#changes += 1;
    for (const listener of this.#listeners) listener();
  }

  /** @returns ends the listening */
  listen(listener: () => void): () => void {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  }
}
