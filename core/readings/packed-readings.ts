import type { CoreReading } from './core-reading'
import type { Celsius, Milliseconds } from '../units/quantities'

/** A smoke's reading as it is judged and drawn. */
export interface SmokeReading {
  phase: 'smoke' | 'cool'
  atMs: Milliseconds
  chamberC: Celsius | null
  coreC: Celsius | null
}

/**
 * A smoke's readings in order of time, by columns: a logger's night has a hundred thousand, and as objects they take
 * three times the room. Two threads may read them at once. NaN: not measured.
 */
export interface PackedReadings {
  count: number
  atMs: Float64Array
  chamberC: Float64Array
  coreC: Float64Array
  /** 1 in the smoker, 0 after it. */
  smokes: Uint8Array
}

/** Puts readings into columns; they stay in the order given. */
export function packReadings(rows: readonly SmokeReading[]): PackedReadings {
  const count = rows.length
  const column = () => new Float64Array(new SharedArrayBuffer(count * Float64Array.BYTES_PER_ELEMENT))
  const packed = {
    count,
    atMs: column(),
    chamberC: column(),
    coreC: column(),
    smokes: new Uint8Array(new SharedArrayBuffer(count)),
  }
  for (const [i, row] of rows.entries()) {
    packed.atMs[i] = row.atMs
    packed.chamberC[i] = row.chamberC ?? Number.NaN
    packed.coreC[i] = row.coreC ?? Number.NaN
    packed.smokes[i] = row.phase === 'smoke' ? 1 : 0
  }
  return packed
}

const measured = (value: number): number | null => (Number.isNaN(value) ? null : value)

/** The readings again, one by one. */
export function unpackReadings(packed: PackedReadings): SmokeReading[] {
  return Array.from({ length: packed.count }, (_, i) => ({
    phase: packed.smokes[i] === 1 ? 'smoke' : 'cool',
    atMs: packed.atMs[i]!,
    chamberC: measured(packed.chamberC[i]!),
    coreC: measured(packed.coreC[i]!),
  }))
}

/** Core readings of one stage. */
export function coreReadings(packed: PackedReadings, phase: SmokeReading['phase']): CoreReading[] {
  const found: CoreReading[] = []
  const wanted = phase === 'smoke' ? 1 : 0
  for (let i = 0; i < packed.count; i++) {
    const coreC = packed.coreC[i]!
    if (packed.smokes[i] === wanted && !Number.isNaN(coreC)) found.push({ atMs: packed.atMs[i]!, coreC })
  }
  return found
}

/** Readings of the chamber while it smokes. */
export function chamberReadings(packed: PackedReadings): { atMs: Milliseconds; tempC: Celsius }[] {
  const found: { atMs: Milliseconds; tempC: Celsius }[] = []
  for (let i = 0; i < packed.count; i++) {
    const tempC = packed.chamberC[i]!
    if (packed.smokes[i] === 1 && !Number.isNaN(tempC)) found.push({ atMs: packed.atMs[i]!, tempC })
  }
  return found
}
