import { describe, expect, it } from 'vitest'
import { labNeeded } from './lab-needed'
import { residualBound } from './residual-bound'
import { US_RULES } from './sets/us-rules'

const residual = US_RULES.rows.filter(row => row.basis === 'residual')
const asked = (ppm: number, yieldShare: number | null, more = 1.05) =>
  labNeeded({ residual, ppm, highPpm: ppm * more, yieldShare })

describe('whether a laboratory will be needed', () => {
  it('is not while the yield shows it, and is under it: 157.5 ppm at worst over 200 is a yield of 78.75 %', () => {
    expect(asked(150, 0.79)).toBeNull()
    expect(asked(150, 0.78)).toMatchObject({ yieldShare: 0.78, isUsual: true })
    expect(asked(150, null)).toBeNull()
    expect(labNeeded({ residual: [], ppm: 150, highPpm: 160, yieldShare: 0.5 })).toBeNull()
  })
  it('the figure it names is the highest that would do, by the bound that stands at sending', () => {
    for (const [ppm, share] of [[150, 0.7], [180, 0.8], [156, 0.6]] as const) {
      const { underPpm } = asked(ppm, share)!
      const shown = (at: number) =>
        residualBound({ nitriteHighG: (at * 1.05) / 1e6, greenG: 1, finishedLowG: share, maxPpm: 200 }).proved
      expect(shown(underPpm)).toBe(true)
      expect(shown(underPpm + 1)).toBe(false)
    }
  })
})
