import { expect, it } from 'vitest'
import { runFigures } from './run-figures'
import { lethalityReached, p70Claimed, salmonellaLog } from './salmonella-credit'

const MINUTE = 60_000
const at = (points: [minute: number, coreC: number][]) =>
  points.map(([minute, coreC]) => ({ atMs: minute * MINUTE, coreC }))

it('says what the single functions say', () => {
  for (const smoke of [
    at([]),
    at([
      [0, 20],
      [60, 29],
    ]),
    at([
      [0, 50],
      [20, 63],
      [30, 64],
    ]),
    at([
      [0, 59.9],
      [20, 59.9],
      [21, 70],
      [24, 70],
    ]),
  ]) {
    const figures = runFigures(smoke)
    expect(figures.credit).toEqual(salmonellaLog(smoke))
    expect(figures.log).toBe(salmonellaLog(smoke).at(-1) ?? 0)
    expect(figures.lethal).toBe(lethalityReached(smoke))
    expect(figures.p70Min).toBe(p70Claimed(smoke).at(-1) ?? 0)
    expect(figures.hottestC).toBe(smoke.length ? Math.max(...smoke.map(one => one.coreC)) : null)
  }
})
it('tells a cold smoke from a heat, and takes a logger\'s day', () => {
  expect(
    runFigures(
      at([
        [0, 10],
        [60, 30],
      ]),
    ).heated,
  ).toBe(false)
  expect(
    runFigures(
      at([
        [0, 10],
        [60, 30.1],
      ]),
    ).heated,
  ).toBe(true)
  expect(
    runFigures(Array.from({ length: 200_000 }, (_, i) => ({ atMs: i * 1000, coreC: 4 + i / 4000 }))).hottestC,
  ).toBeCloseTo(54, 1)
})
