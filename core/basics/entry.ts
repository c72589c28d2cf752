interface Entries<K, V> {
  get(key: K): V | undefined;
  set(key: K, value: V): unknown;
}

/** What a map has under a key; made and kept when there is nothing yet. */
export const entryOf = <K, V>(map: Entries<K, V>, key: K, make: () => V): V => {
  const known = map.get(key);
  if (known !== undefined) return known;
  const made = make();
  map.set(key, made);
  return made;
};
