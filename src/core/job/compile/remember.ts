/** Of one object a job asks for few things, over and over; more than this many are not kept. */
const MOST_KEPT = 64;

/**
 * A pure function of an object that does not change and of a text, worked out once for each: compiling a job anew with
 * every entry asks for the same isolation and the same strip. What is forgotten is worked out again.
 */
export function remembered<Of extends object, Made>(make: (of: Of, ask: string) => Made) {
  const kept = new WeakMap<Of, Map<string, Made>>();
  return (of: Of, ask: string): Made => {
    const made = kept.get(of) ?? new Map<string, Made>();
    kept.set(of, made);
    const known = made.get(ask);
    if (known !== undefined) return known;
    if (made.size >= MOST_KEPT) made.clear();
    const fresh = make(of, ask);
    made.set(ask, fresh);
    return fresh;
  };
}
