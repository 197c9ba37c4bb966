import { bench, describe } from 'vitest'
import { foldLife } from '#core/life/fold'
import { lotStayed } from '#core/retained/lot-stayed'
import { rub, step, RUBBED_AT_MS } from '#core/fixtures/life-samples'

/** Ninety-nine days of two steps each: turned, and drained or looked at. */
const steps = [
  rub(),
  ...Array.from({ length: 199 }, (_, i) =>
    i % 2 === 0
      ? step(i + 2, 'turn', 12 * (i + 1))
      : i % 4 === 1
        ? step(i + 2, 'drain', 12 * (i + 1), { figures: { drained: { lowG: 0.1, highG: 0.6 } } })
        : step(i + 2, 'look', 12 * (i + 1)),
  ),
]

describe('a lot\'s life', () => {
  bench('fold of a lot with 200 steps', () => {
    if (!foldLife(steps).ok) throw new Error('contradicted')
  })
  bench('the least that stayed, 200 steps', () => {
    const found = lotStayed({
      method: 'dry',
      cut: 'belly',
      rubbedAtMs: RUBBED_AT_MS,
      waterG: 0,
      thicknessMm: 40,
      oneFace: false,
      pieces: [1, 2, 3].map(number => ({ pieceId: number, number, greenG: 2000, greenOffG: 0.5, lowPpm: 150 })),
      puts: [{ atMs: RUBBED_AT_MS, massG: 160, saltG: 150, isAgent: true, pieceNumbers: null }],
      mixReadabilityG: 0.1,
      upperBound: false,
      steps,
    })
    if (found.leastPpm === null) throw new Error('not shown')
  })
})
