/** How each line of a chart reads off a row; null where it has no point. */
type Line<R> = (row: R) => number | null

/**
 * Rows thinned to about `most` that draw as all of them would: from each stretch the lowest and the highest of every
 * line, with the first and the last. Rows stay in their order; fewer than `most` stay as they are. House.
 */
export function thinned<R>(rows: readonly R[], lines: readonly Line<R>[], most: number): R[] {
  if (rows.length <= most) return [...rows]
  const stretches = Math.max(1, Math.floor((most - 2) / (2 * lines.length)))
  const kept = new Set([0, rows.length - 1])
  for (let s = 0; s < stretches; s++) {
    const [from, to] = [Math.floor((s * rows.length) / stretches), Math.floor(((s + 1) * rows.length) / stretches)]
    for (const line of lines) {
      let [low, high] = [-1, -1]
      for (let i = from; i < to; i++) {
        const value = line(rows[i]!)
        if (value === null) continue
        if (low < 0 || value < line(rows[low]!)!) low = i
        if (high < 0 || value > line(rows[high]!)!) high = i
      }
      if (low >= 0) kept.add(low).add(high)
    }
  }
  return [...kept].toSorted((a, b) => a - b).map(i => rows[i]!)
}
