/** A binary heap that gives the least first; equal keys come out in the order they went in. */
export class PriorityQueue<T> {
  readonly #heap: { key: number; turn: number; value: T }[] = [];
  #turn = 0;

  get size(): number {
    return this.#heap.length;
  }

  push(key: number, value: T): void {
    const heap = this.#heap;
    let at = heap.push({ key, turn: this.#turn++, value }) - 1;
    while (at > 0) {
      const parent = (at - 1) >> 1;
      if (!this.#before(at, parent)) return;
      this.#swap(at, parent);
      at = parent;
    }
  }

  pop(): { key: number; value: T } | undefined {
    const heap = this.#heap;
    const least = heap[0];
    const last = heap.pop();
    if (least === undefined || last === undefined || heap.length === 0) return least;
    heap[0] = last;
    for (let at = 0; ; ) {
      const [left, right] = [2 * at + 1, 2 * at + 2];
      let next = at;
      if (left < heap.length && this.#before(left, next)) next = left;
      if (right < heap.length && this.#before(right, next)) next = right;
      if (next === at) return least;
      this.#swap(at, next);
      at = next;
    }
  }

  #before(a: number, b: number): boolean {
    const [x, y] = [this.#heap[a]!, this.#heap[b]!];
    return x.key < y.key || (x.key === y.key && x.turn < y.turn);
  }

  #swap(a: number, b: number): void {
    [this.#heap[a], this.#heap[b]] = [this.#heap[b]!, this.#heap[a]!];
  }
}
