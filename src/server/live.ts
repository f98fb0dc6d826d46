/** Tells whoever listens that something changed; what, they ask for themselves. */
export class Live {
  readonly #listeners = new Set<() => void>();
  #changes = 0;
  /** Why the last storing failed, in words; nothing when it did not. */
  fault: string | undefined;

  /** How often something changed since the server began: a screen that saw fewer is stale. */
  get changes(): number {
    return this.#changes;
  }

  /** In a process that only draws: how often, as the one that serves tells it. */
  told(changes: number): void {
    this.#changes = changes;
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
