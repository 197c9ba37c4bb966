/** What a map holds under a key that must be there: `atKey(names, 7)`. Throws where it is not, with the key. */
export function atKey<K, V>(map: ReadonlyMap<K, V>, key: K): V {
  const value = map.get(key)
  if (value === undefined) throw new Error(`Nothing is kept under ${String(key)}.`)
  return value
}
