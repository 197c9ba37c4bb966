/** Whole numbers as runs of followers, `[first, last]`, in order: 1, 2, 3, 7 is [1, 3], [7, 7]. */
export function spansOf(numbers: readonly number[]): [first: number, last: number][] {
  const spans: [number, number][] = []
  for (const number of numbers.toSorted((a, b) => a - b)) {
    const last = spans.at(-1)
    if (last && number <= last[1] + 1) last[1] = number
    else spans.push([number, number])
  }
  return spans
}
