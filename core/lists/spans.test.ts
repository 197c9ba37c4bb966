import fc from 'fast-check'
import { expect, it } from 'vitest'
import { spansOf } from './spans'

it('names the same numbers, in as few runs as there are gaps', () =>
  fc.assert(
    fc.property(fc.uniqueArray(fc.integer({ min: -20, max: 40 })), (numbers) => {
      const spans = spansOf(numbers)
      expect(spans.flatMap(([first, last]) => Array.from({ length: last - first + 1 }, (_, i) => first + i))).toEqual(
        numbers.toSorted((a, b) => a - b),
      )
      for (const [i, [first]] of spans.entries()) if (i > 0) expect(first).toBeGreaterThan(spans[i - 1]![1] + 1)
    }),
  ))
