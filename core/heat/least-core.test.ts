import { describe, expect, it } from 'vitest'
import { SALMONELLA_AT_150F_S, SALMONELLA_LOG, SALMONELLA_Z_F } from '../rules/guideline'
import { salmonellaLog } from '../smoke/salmonella-credit'
import { leastCoreC } from './least-core'

const DOUBT = { errorC: 0, thicknessMm: 40 }

describe('the least that the slowest point can be', () => {
  it('a probe 5 mm off in 40 mm, air 16 °C above, is 1.2 °C off', () =>
    expect(64 - leastCoreC(64, 80, DOUBT)).toBeCloseTo(16 * (1 - Math.cos(Math.PI / 8)), 9))
  it('is no lower in air that is colder: the middle is the warmest then', () =>
    expect(leastCoreC(64, 20, DOUBT)).toBe(64))
  it('counts the thermometer\'s error, and a degree where nobody measured the air', () =>
    expect(leastCoreC(64, null, { ...DOUBT, errorC: 0.5 })).toBe(62.5))
  it('in meat of 10 mm and less it is as cold as a face can be, in thicker it is not', () => {
    expect(leastCoreC(64, 80, { errorC: 0, thicknessMm: 8 })).toBeCloseTo(48, 9)
    expect(leastCoreC(64, 80, { errorC: 0, thicknessMm: 12 })).toBeGreaterThan(48)
  })
  it('takes longer to 6.5 log by as much as the error says: 67 s at 65.6 °C are 82.4 s at half a degree', () => {
    const secondsTo = (coreC: number) => {
      const line = Array.from({ length: 200 }, (_, i) => ({ atMs: i * 1000, coreC }))
      return salmonellaLog(line).findIndex(log => log >= SALMONELLA_LOG - 1e-9)
    }
    const at150F = (150 - 32) / 1.8
    expect(secondsTo(leastCoreC(at150F, at150F, DOUBT))).toBe(SALMONELLA_AT_150F_S)
    const wanted = SALMONELLA_AT_150F_S * 10 ** ((0.5 * 1.8) / SALMONELLA_Z_F)
    expect(secondsTo(leastCoreC(at150F, at150F, { ...DOUBT, errorC: 0.5 }))).toBe(Math.ceil(wanted))
  })
})
