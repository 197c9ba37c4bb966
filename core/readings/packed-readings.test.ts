import fc from 'fast-check'
import { expect, it } from 'vitest'
import { chamberReadings, coreReadings, packReadings, unpackReadings, type SmokeReading } from './packed-readings'

const temperature = fc.option(fc.integer({ min: -400, max: 3000 }).map(tenths => tenths / 10))
const reading: fc.Arbitrary<SmokeReading> = fc.record({
  phase: fc.constantFrom('smoke', 'cool'),
  atMs: fc.integer({ min: 1.7e12, max: 1.9e12 }),
  chamberC: temperature,
  coreC: temperature,
})

it('what is put into columns comes out as it was', () =>
  fc.assert(
    fc.property(fc.array(reading), (rows) => {
      expect(unpackReadings(packReadings(rows))).toEqual(rows)
    }),
  ))
it('core and chamber are those of the rows, without what was not measured', () =>
  fc.assert(
    fc.property(fc.array(reading), (rows) => {
      const packed = packReadings(rows)
      for (const phase of ['smoke', 'cool'] as const)
        expect(coreReadings(packed, phase)).toEqual(
          rows.filter(row => row.phase === phase && row.coreC !== null).map(({ atMs, coreC }) => ({ atMs, coreC })),
        )
      expect(chamberReadings(packed)).toEqual(
        rows
          .filter(row => row.phase === 'smoke' && row.chamberC !== null)
          .map(({ atMs, chamberC }) => ({ atMs, tempC: chamberC })),
      )
    }),
  ))
it('is read by two threads at once: nothing is copied on the way', () =>
  expect(packReadings([{ phase: 'smoke', atMs: 1, chamberC: 60, coreC: null }]).coreC.buffer).toBeInstanceOf(
    SharedArrayBuffer,
  ))
