/** How many answers are kept, unless said otherwise; then all are forgotten, and it begins anew. */
const MOST_KEPT = 20_000

/**
 * The same pure function, which keeps its answers: calendars ask the same days and hours over and over. Arguments are
 * texts and numbers, answers are never changed. What it throws is not kept.
 */
export function remembered<A extends readonly (string | number)[], R extends string | number | readonly object[]>(
  pure: (...args: A) => R,
  mostKept = MOST_KEPT,
): (...args: A) => R {
  const kept = new Map<string, R>()
  return (...args) => {
    const key = args.join('|')
    const known = kept.get(key)
    if (known !== undefined) return known
    const answer = pure(...args)
    if (kept.size >= mostKept) kept.clear()
    kept.set(key, answer)
    return answer
  }
}
