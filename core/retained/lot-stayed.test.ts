import { describe, expect, it } from 'vitest'
import { MS_PER_HOUR } from '../units/quantities'
import { lyingLoss } from './lying-loss'
import { leastOf, lotStayed, type LotStayedQuestion } from './lot-stayed'
import type { FiguresOfStep } from '../life/kinds/all-kinds'
import type { Step } from '../life/step'

let id = 0
const step = <K extends Step['kind']>(kind: K, at: number, pieces: number[], figures: FiguresOfStep[K]) =>
  ({ id: (id += 1), kind, pieces, placeId: null, fromMs: at * MS_PER_HOUR, toMs: at * MS_PER_HOUR, figures }) as Step
const rub = step('rub', 0, [11, 12], { spots: { 11: 'bag 1', 12: 'bag 2' }, face: 'flesh' })
const drain = (at: number, pieces: number[], highG: number | null, more = {}) =>
  step('drain', at, pieces, {
    how: 'poured_off',
    drained: highG === null ? null : { lowG: highG / 5, highG },
    back: false,
    saltLies: false,
    ...more,
  })
const BASE = [
  { atMs: 0, massG: 90, saltShare: 1, nitriteShare: 0, pieces: null },
  { atMs: 0, massG: 10, saltShare: 0.9, nitriteShare: 0.0625, pieces: null },
]
/** Two pieces of 2 kg, each in its bag: 100 g of salt and 10 g of a curing salt of 6.25 % between them. */
const lot = (more: Partial<LotStayedQuestion> = {}) =>
  lotStayed({
    method: 'dry',
    cut: 'belly',
    sides: null,
    rubbedAtMs: 0,
    waterG: 0,
    thicknessMm: 40,
    oneFace: false,
    pieces: [1, 2].map(number => ({ pieceId: 10 + number, greenG: 2000, greenOffG: 0.5, lowPpm: 150 })),
    puts: BASE,
    mixReadabilityG: 0,
    upperBound: false,
    steps: [rub],
    ...more,
  })
/** What liquid takes at most that lay in a bag of 2 kg, 40 hours after the rub. */
const asLay = (liquidG: number) =>
  lyingLoss({ liquidG, greenG: 2000, thicknessMm: 40, sinceMs: 40 * MS_PER_HOUR, coldestC: null })
const leasts = (found: ReturnType<typeof lotStayed>) => found.pieces.map(piece => piece.leastPpm)

describe('the least that stayed in a lot', () => {
  it('with nothing told is what went in, by piece', () => {
    expect(leasts(lot())).toEqual([150, 150])
    expect(lot().lostShare).toBeCloseTo(0, 12)
  })
  it('of a bag poured off is bounded by what lay with the meat; of a rack by the salt alone', () => {
    const loose = step('rub', 0, [11, 12], { spots: {}, face: 'flesh' })
    // A cup: saturated brine alone could have taken all of it.
    const [bag] = leasts(lot({ steps: [rub, drain(40, [11], 300)] }))
    const [rack] = leasts(lot({ steps: [loose, drain(40, [11], 300)] }))
    expect(rack).toBe(0)
    expect(bag).toBeCloseTo(150 * (1 - asLay(300)), 9)
    expect(bag).toBeGreaterThan(30)
  })
  it('of a mix that lay mostly on fat nothing is shown once liquid left, by the sides or by the cut', () => {
    const drained = { steps: [rub, drain(40, [11], 20)] }
    const sides = { flesh: 0.3, fat: 0.6, edges: 0.1 }
    expect(lot({ ...drained, sides })).toMatchObject({ leastPpm: null, why: 'on_fat' })
    expect(lot({ ...drained, cut: 'jowl' })).toMatchObject({ leastPpm: null, why: 'on_fat' })
    expect(lot({ ...drained, sides: { flesh: 0.6, fat: 0.3, edges: 0.1 } }).leastPpm).toBeGreaterThan(0)
    // Nothing ran off: it is where it was put.
    expect(leasts(lot({ sides }))).toEqual([150, 150])
  })
  it('a bag loses of its own salt', () => {
    const [one, two] = leasts(lot({ steps: [rub, drain(40, [12], 20)] }))
    expect(one).toBe(150)
    expect(two).toBeCloseTo(150 * (1 - (1.25 * 0.26395 * 20) / 49.5), 9)
  })
  it('salt on some pieces only counts there', () => {
    const puts = [
      { atMs: 0, massG: 100, saltShare: 0.5, nitriteShare: 0, pieces: [11] },
      { atMs: 0, massG: 10, saltShare: 0, nitriteShare: 0.0625, pieces: null },
    ]
    // Piece 2 has no salt to lose by: what lay in its bag bounds it alone.
    expect(leasts(lot({ puts, steps: [rub, drain(40, [11, 12], 20)] }))).toEqual([
      expect.closeTo(150 * (1 - (1.25 * 0.26395 * 20) / 50), 9),
      expect.closeTo(150 * (1 - asLay(20)), 9),
    ])
  })
  it('what goes on one piece later stands behind the losses of that one alone', () => {
    const more = { atMs: 41 * MS_PER_HOUR, massG: 5, saltShare: 0.9, nitriteShare: 0.0625, pieces: [11] }
    const puts = [...BASE, more]
    const [one, two] = leasts(lot({ puts, steps: [rub, drain(40, [11], 20), drain(40, [12], 20)] }))
    // Piece 1: a half of its nitrite went on after the draining and lost nothing.
    const share = (1.25 * 0.26395 * 20) / 49.5
    expect(one).toBeCloseTo(75 * (1 - share) + 75, 9)
    expect(two).toBeCloseTo(150 * (1 - share), 9)
  })
  it('more than anybody weighed makes a weighing of the meat bound nothing', () => {
    const weigh = step('weigh', 60, [11, 12], { what: 'meat', netG: 4095, offG: 0.5, saltLies: false })
    const steps = [rub, drain(40, [11, 12], 400), weigh]
    const byEye = { atMs: 0, massG: 0, saltShare: 1, nitriteShare: 0, pieces: null, unweighed: true }
    const bounded = lot({ steps }).leastPpm!
    expect(lot({ steps, puts: [...BASE, byEye] }).leastPpm!).toBeLessThan(bounded)
  })
  it('a mix shared out on a coarse scale lost more', () => {
    const steps = [rub, drain(40, [12], 20)]
    expect(lot({ steps, mixReadabilityG: 5 }).leastPpm).toBeLessThan(lot({ steps }).leastPpm!)
  })
  it('half now, half after the draining: the second half is not lost by it', () => {
    const half = (atMs: number) => [
      { atMs, massG: 45, saltShare: 1, nitriteShare: 0, pieces: null },
      { atMs, massG: 5, saltShare: 0.9, nitriteShare: 0.0625, pieces: null },
    ]
    const steps = [rub, drain(40, [11, 12], 900)]
    const found = lot({ method: 'two_applications', puts: [...half(0), ...half(41 * MS_PER_HOUR)], steps })
    for (const least of leasts(found)) expect(least).toBeCloseTo(75 * (1 - asLay(900)) + 75, 9)
  })
  it('unseen it is not shown, until the meat is weighed', () => {
    const steps = [rub, drain(40, [11], null)]
    expect(lot({ steps })).toMatchObject({ leastPpm: null, why: 'not_seen' })
    const weighed = (saltLies: boolean) =>
      step('weigh', 100, [11, 12], { what: 'meat', netG: 4080, offG: 1, saltLies })
    // 4,001 g and 100 g went in, 4,079 g are there at the least: 22 g went at the most.
    const [one, two] = leasts(lot({ steps: [...steps, weighed(false)] }))
    expect(one).toBeCloseTo(150 * (1 - (1.25 * 0.26395 * 22) / 49.5), 9)
    expect(two).toBe(150)
    expect(lot({ steps: [...steps, weighed(true)] }).why).toBe('not_seen')
    // Wet from its rinse it weighs too much to bound anything; taken out dry it does.
    const out = (rinses: number | null) => step('out', 90, [11, 12], { rinses })
    expect(lot({ steps: [...steps, out(1), weighed(false)] }).why).toBe('not_seen')
    expect(lot({ steps: [...steps, out(null), weighed(false)] }).why).toBe('not_seen')
    expect(lot({ steps: [...steps, out(0), weighed(false)] }).leastPpm).toBeCloseTo(one!, 9)
    const soak = step('soak', 95, [11], { litres: null, waterC: null, changes: 0 })
    expect(lot({ steps: [...steps, out(0), soak, weighed(false)] }).why).toBe('not_seen')
  })
  it('a salt box and a brine not weighed yet show nothing', () => {
    expect(lot({ method: 'excess', upperBound: true })).toMatchObject({ leastPpm: null, why: 'excess' })
    expect(lot({ method: 'wet_pick_up', upperBound: true })).toMatchObject({ leastPpm: null, why: 'not_weighed' })
  })
  it('a brine spreads over water, and is not lost by draining', () => {
    const brine = { method: 'wet_equilibrium' as const, waterG: 1900, steps: [rub, drain(40, [11], null)] }
    const water = 4000 * 0.35
    const ppm = lot(brine).leastPpm!
    expect((ppm * 4000) / water).toBeCloseTo((150 * 6000) / (water + 1900), 6)
    expect(lot({ ...brine, method: 'wet_pick_up' }).leastPpm).toBe(150)
  })
})

describe('which figure some pieces cool by', () => {
  const stayed = lot({ steps: [rub, drain(40, [12], null)] })
  it('their own: the worst, and none where one is not shown', () => {
    expect(leastOf({ lot: { lowPpm: 150 }, stayed }, [11])).toBe(150)
    expect(leastOf({ lot: { lowPpm: 150 }, stayed }, [11, 12])).toBeNull()
    expect(leastOf({ lot: { lowPpm: 150 }, stayed }, [99])).toBeNull()
  })
  it('a verdict of before stands on what went in; without nitrite there is none', () => {
    expect(leastOf({ lot: { lowPpm: 143 } }, [11])).toBe(143)
    expect(leastOf({ lot: null, stayed: null }, [11])).toBeNull()
  })
})
