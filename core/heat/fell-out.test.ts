import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { slabCores } from '../fixtures/slab-cores'
import { fellOutAt, type CoreInAir } from './fell-out'

const MINUTE = 60_000
const DRY = { thicknessMm: 40, heated: 'dry' } as const
const line = (...points: [minute: number, coreC: number, airC: number | null][]): CoreInAir[] =>
  points.map(([minute, coreC, airC]) => ({ atMs: minute * MINUTE, coreC, airC }))

describe('a probe that slipped out', () => {
  it('is told by a rise that no core can do', () =>
    expect(fellOutAt(line([0, 45, 80], [1, 70, 80]), DRY)).toBe(1))
  it('between readings by hand, three quarters of an hour apart, too', () =>
    expect(fellOutAt(line([0, 20, 80], [45, 78, 80]), { ...DRY, thicknessMm: 60 })).toBe(1))
  it('is told by lying as near the air as nothing in meat does, having been far from it', () => {
    // Out by and by: no minute of it is a jump.
    const crept = line(...Array.from({ length: 20 }, (_, i): [number, number, number] => [i, Math.min(61, 50 + 1.05 * i), 62]))
    expect(fellOutAt(crept, DRY)).toBe(15)
  })
  it('is told of no bath, and by nothing where nobody measured the air', () => {
    expect(fellOutAt(line([0, 45, 66], [1, 65, 66]), { ...DRY, heated: 'bath' })).toBeNull()
    expect(fellOutAt(line([0, 45, null], [1, 70, null]), DRY)).toBeNull()
  })
})

const heats = fc.record({
  startC: fc.integer({ min: 0, max: 12 }),
  halfMm: fc.integer({ min: 12, max: 45 }),
  diffusivity: fc.double({ min: 0.8e-7, max: 1.4e-7, noNaN: true }),
  heated: fc.constantFrom('dry' as const, 'steam' as const),
  slowFace: fc.double({ min: 0.3, max: 1, noNaN: true }),
  stages: fc.tuple(fc.integer({ min: 40, max: 66 }), fc.integer({ min: 66, max: 95 })),
  every: fc.constantFrom(1, 5, 15, 45),
  noise: fc.array(fc.double({ min: -0.3, max: 0.3, noNaN: true }), { minLength: 300, maxLength: 300 }),
  slipsAt: fc.double({ min: 0.2, max: 0.8, noNaN: true }),
})
const FACE = { dry: 25, steam: 90 }
/** A heat in two stages, read every so many minutes until the core is at 66 °C, or five hours. */
function readings(q: typeof heats extends fc.Arbitrary<infer T> ? T : never): CoreInAir[] {
  const airC = (minute: number) => (minute < 60 ? q.stages[0] : q.stages[1])
  const cores = slabCores({ ...q, h: FACE[q.heated] * q.slowFace, airC, minutes: 300 })
  const end = cores.findIndex(coreC => coreC > 66)
  return cores
    .map((coreC, minute) => ({ atMs: minute * MINUTE, coreC: coreC + q.noise[minute]!, airC: airC(minute) }))
    .filter((_, minute) => minute % q.every === 0 && (end < 0 || minute <= end))
}

it('no sound probe is marked, whatever the slab', () =>
  fc.assert(
    fc.property(heats, (q) => {
      expect(fellOutAt(readings(q), { thicknessMm: 2 * q.halfMm, heated: q.heated })).toBeNull()
    }),
    { numRuns: 150 },
  ))
it('one that slips into air 15 °C hotter is marked within a quarter of an hour, or at the next reading', () => {
  let slipped = 0
  fc.assert(
    fc.property(heats, (q) => {
      // At three quarters of an hour a thin slab in steam is as hot as its air by itself: no reading can tell.
      const sound = readings({ ...q, every: Math.min(15, q.every) })
      const at = Math.floor(sound.length * q.slipsAt)
      if (at < 1 || at > sound.length - 1 - 15 / Math.min(15, q.every) || sound[at]!.airC! - sound[at]!.coreC < 15) return
      slipped += 1
      const fallen = sound.map((one, i) => (i < at ? one : { ...one, coreC: one.airC! - 1 + q.noise[i]! }))
      const found = fellOutAt(fallen, { thicknessMm: 2 * q.halfMm, heated: q.heated })
      expect(found).not.toBeNull()
      expect(fallen[found!]!.atMs - fallen[at]!.atMs).toBeLessThanOrEqual(Math.max(15, q.every) * MINUTE)
    }),
    { numRuns: 150 },
  )
  expect(slipped).toBeGreaterThan(40)
})
