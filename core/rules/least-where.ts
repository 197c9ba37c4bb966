/**
 * The least whole number from 0 to `most` for which `holds` is true, or null when it is true for none. `holds` must be
 * false up to some number and true from there on (a monotone question). Exact; about log2(most) questions.
 */
export function leastWhere(most: number, holds: (n: number) => boolean): number | null {
  if (!holds(most)) return null
  let [low, high] = [0, most]
  while (low < high) {
    const middle = Math.floor((low + high) / 2)
    if (holds(middle)) high = middle
    else low = middle + 1
  }
  return low
}
