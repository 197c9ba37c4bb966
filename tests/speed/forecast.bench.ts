import { bench, describe } from 'vitest'
import { backtest } from '#core/fixtures/backtest'
import { forecastLoss } from '#core/drying/forecast'
import { driedSlab } from '#core/fixtures/drying-slabs'
import { seeded } from '#core/lists/seeded'

const random = seeded(2026)
const slabs = Array.from({ length: 200 }, () => driedSlab(random))
const held = [2, 3, 4].map(weeks => `${Math.round(100 * backtest(slabs, weeks).held)} % after ${weeks} weeks`)

describe(`of 200 simulated slabs the 80 % range holds ${held.join(', ')}`, () => {
  bench('one forecast', () => {
    forecastLoss({ hungAtMs: 0, points: slabs[0]!.weights.slice(0, 5), target: 0.3, waterShare: 0.5 })
  })
})
