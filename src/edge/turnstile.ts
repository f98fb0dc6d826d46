/**
 * Lets in so many at a time to each of its places, the others in the order they came, each to the place with most room.
 * With many pages drawn at once every one of them would come late, instead of some.
 */
export class Turnstile<Place> {
  readonly #inside = new Map<Place, number>();
  readonly #waiting: ((place: Place) => void)[] = [];

  /** @param most that each place takes at once */
  constructor(private readonly most: number) {}

  get places(): number {
    return this.#inside.size;
  }

  open(place: Place): void {
    this.#inside.set(place, 0);
    for (let room = 0; room < this.most; room++) this.#next();
  }

  /** Nobody enters it any more; whoever is inside goes on. */
  close(place: Place): void {
    this.#inside.delete(place);
  }

  /** Begins at once, or when there is room. @param begin is given the place, and what it has to call when it is through, once or more */
  enter(begin: (place: Place, leave: () => void) => void): void {
    this.#waiting.push((place) => {
      this.#inside.set(place, this.#inside.get(place)! + 1);
      let left = false;
      begin(place, () => {
        if (left) return;
        left = true;
        const inside = this.#inside.get(place);
        if (inside !== undefined) this.#inside.set(place, inside - 1);
        this.#next();
      });
    });
    this.#next();
  }

  #next(): void {
    const [emptiest] = [...this.#inside].sort(([, one], [, other]) => one - other);
    if (emptiest !== undefined && emptiest[1] < this.most) this.#waiting.shift()?.(emptiest[0]);
  }
}
