/** Whether two sets hold the same. */
export function sameSet<T>(a: ReadonlySet<T>, b: ReadonlySet<T>): boolean {
  if (a.size !== b.size) return false;
  for (const each of a) if (!b.has(each)) return false;
  return true;
}

/** Whether two maps say the same. */
export function sameMap<K, V>(a: ReadonlyMap<K, V>, b: ReadonlyMap<K, V>): boolean {
  if (a.size !== b.size) return false;
  for (const [key, value] of a) if (!b.has(key) || b.get(key) !== value) return false;
  return true;
}
