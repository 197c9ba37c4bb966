import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { saltLedger, type SaltEntry } from './salt-ledger'

const received = (massG: number): SaltEntry => ({ kind: 'received', atMs: 0, massG })
const used = (massG: number, readabilityG = 0.1): SaltEntry => ({ kind: 'used', atMs: 0, massG, readabilityG })
const count = (countedG: number, readabilityG = 1): SaltEntry => ({ kind: 'count', atMs: 0, countedG, readabilityG })

describe('the curing-salt ledger', () => {
  it('runs: 1,000 in, 9.2 and 11.4 out, 4.4 spilled', () => {
    const lines = saltLedger([
      received(1000),
      used(9.2),
      used(11.4),
      { kind: 'discarded', atMs: 0, massG: 4.4, readabilityG: 0.1 },
    ])
    expect(lines.map(line => Number(line.balanceG.toFixed(6)))).toEqual([1000, 990.8, 979.4, 975])
    expect(lines.every(line => line.anomaly === null)).toBe(true)
  })
  it('a count within the scales is no anomaly, one beyond them is', () => {
    // Two weighings of ± 0.05 g and a count of ± 0.5 g: 0.6 g in all.
    const before = [received(1000), used(10), used(10)]
    expect(saltLedger([...before, count(979.4)]).at(-1)).toMatchObject({
      balanceG: 979.4,
      allowedG: expect.closeTo(0.6, 9),
      anomaly: null,
    })
    expect(saltLedger([...before, count(979.3)]).at(-1)!.anomaly).toBe('count_off')
    expect(saltLedger([...before, count(980.7)]).at(-1)!.anomaly).toBe('count_off')
  })
  it('after a count only what came since is allowed for', () => {
    const lines = saltLedger([received(1000), used(10), count(989.6), used(10), count(980)])
    expect(lines.at(-1)!.allowedG).toBeCloseTo(0.5 + 0.05 + 0.5, 9)
    expect(lines.at(-1)!.differenceG).toBeCloseTo(0.4, 9)
  })
  it('shows use without a lot, and more taken than there was', () => {
    expect(
      saltLedger([received(100), { kind: 'unassigned', atMs: 0, massG: 5, readabilityG: 0.1 }]).at(-1)!.anomaly,
    ).toBe('without_a_lot')
    expect(saltLedger([received(10), used(12)]).at(-1)!.anomaly).toBe('below_zero')
    expect(saltLedger([received(10), used(10.05)]).at(-1)!.anomaly).toBeNull()
  })
  it('keeps mass: balance = in - out + differences of counts', () => {
    const massG = fc.double({ min: 0, max: 500, noNaN: true })
    const entry = fc.oneof(
      massG.map(received),
      massG.map(m => used(m)),
      massG.map(m => count(m)),
    )
    fc.assert(
      fc.property(fc.array(entry, { minLength: 1, maxLength: 40 }), (entries) => {
        const lines = saltLedger(entries)
        const sum = lines.reduce((total, line) => total + line.inG - line.outG + (line.differenceG ?? 0), 0)
        expect(lines.at(-1)!.balanceG).toBeCloseTo(sum, 6)
      }),
    )
  })
})
