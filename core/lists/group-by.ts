/** Rows by a key, each group in the order of the rows. */
export function groupBy<R, K>(rows: readonly R[], key: (row: R) => K): Map<K, R[]> {
  const groups = new Map<K, R[]>()
  for (const row of rows) {
    const of = key(row)
    const group = groups.get(of)
    if (group) group.push(row)
    else groups.set(of, [row])
  }
  return groups
}
