import type { DriedSlab } from '../fixtures/drying-slabs'
import { MS_PER_DAY } from '../units/quantities'
import { forecastLoss } from './forecast'

/** How forecasts of slabs came out: how many, and which share of them the range held. */
export interface Backtest {
  asked: number
  held: number
}

/** Loss at which a slab is taken to be ready, of its water: 30 % where half of it is water. */
const READY_OF_WATER = 0.6
/** What a shop knows of a belly's water. */
const KNOWN_WATER = 0.5

/**
 * Asks for each slab, after so many weekly weights, when it will be ready, and holds the answer against when it was. Slabs
 * that were ready by then, or never get there, are left out.
 */
export function backtest(slabs: readonly DriedSlab[], weeks: number): Backtest {
  const asked = slabs.flatMap(({ weights, waterShare, trueLost }) => {
    const target = READY_OF_WATER * waterShare
    const readyMs = (trueLost.findIndex(lost => lost >= target) / 24) * MS_PER_DAY
    const points = weights.slice(0, weeks + 1)
    if (readyMs < 0 || points.at(-1)!.atMs >= readyMs) return []
    const found = forecastLoss({ hungAtMs: 0, points, target, waterShare: KNOWN_WATER })
    return [found !== null && found.fromMs <= readyMs && readyMs <= found.toMs]
  })
  return { asked: asked.length, held: asked.filter(Boolean).length / asked.length }
}
