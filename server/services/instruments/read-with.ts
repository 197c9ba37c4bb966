import type { Celsius } from '#core/units/quantities'
import { withoutOffset } from '#core/instruments/check-instrument'
import type { Tables } from '../../db/database'
import { refuse, type Answer, type FieldPath } from '../context'

export interface Reading {
  tempC: Celsius
  offsetC: Celsius
  thermometerId: number | null
}

/** A thermometer's offset now; 0 when none was named. */
export async function offsetOf(
  tables: Tables,
  thermometerId: number | null,
  path: FieldPath,
): Promise<Answer<number>> {
  if (thermometerId === null) return { ok: true, value: 0 }
  const one = await tables.instruments.one({ id: thermometerId, kind: 'thermometer' })
  return one ? { ok: true, value: one.offsetC } : refuse('no_such_thermometer', {}, path)
}

/** A reading with its thermometer's offset taken off. */
export async function readWith(
  tables: Tables,
  thermometerId: number | null,
  readC: Celsius,
  path: FieldPath,
): Promise<Answer<Reading>> {
  const offset = await offsetOf(tables, thermometerId, path)
  return offset.ok
    ? { ok: true, value: { tempC: withoutOffset(readC, offset.value), offsetC: offset.value, thermometerId } }
    : offset
}

/** A humidity with its hygrometer's offset taken off, percent. */
export async function humidityWith(tables: Tables, hygrometerId: number | null, readRh: number, path: FieldPath) {
  const one = hygrometerId === null ? null : await tables.instruments.one({ id: hygrometerId, kind: 'hygrometer' })
  if (hygrometerId !== null && !one) return refuse('no_such_hygrometer', {}, path)
  const offsetRh = one?.offsetC ?? 0
  return { ok: true as const, value: { rh: readRh - offsetRh, offsetRh, hygrometerId } }
}

/** The scale that was named; null when none was, or it is not known. */
export const scaleOf = async (tables: Tables, scaleId: number | null) =>
  scaleId === null ? null : await tables.instruments.one({ id: scaleId, kind: 'scale' })

/** Null, or the refusal of a scale that is not known. */
export async function refuseScale(tables: Tables, scaleId: number | null, path: FieldPath) {
  if (scaleId === null || (await scaleOf(tables, scaleId))) return null
  return refuse('no_such_scale', {}, path)
}
