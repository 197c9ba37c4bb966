import {
  CHECK_RANGE_DAYS,
  INGREDIENT_RANGE,
  READS_RANGE_DEGREES,
  READS_RANGE_G,
  READS_RANGE_PERCENT,
} from '#core/rules/ranges'
import { z } from 'zod'
import type { InstrumentState } from '#core/instruments/instrument-state'
import { type Celsius, fahrenheitToCelsius, type Milliseconds } from '#core/units/quantities'
import { decimal, relativeHumidity, name, note, temperature, weight, whole } from '../entry/fields'

export const INSTRUMENT_KINDS = ['scale', 'thermometer', 'hygrometer'] as const
export type InstrumentKind = (typeof INSTRUMENT_KINDS)[number]
export const CHECK_METHODS = ['check_weight', 'ice_point', 'reference', 'salt_point', 'reference_rh'] as const
export type CheckMethod = (typeof CHECK_METHODS)[number]

const everyDays = () => whole(CHECK_RANGE_DAYS)
/** A step on a thermometer's display: in °F it is five ninths of that in °C. */
const step = () =>
  z
    .strictObject({ typed: decimal(READS_RANGE_DEGREES), unit: z.enum(['C', 'F']) })
    .transform(({ typed, unit }) => (unit === 'F' ? fahrenheitToCelsius(typed) - fahrenheitToCelsius(0) : typed))

export const instrumentInput = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('scale'),
    name: name(),
    purpose: z.enum(['meat', 'mix']),
    readabilityG: decimal(READS_RANGE_G),
    everyDays: everyDays(),
  }),
  z.strictObject({ kind: z.literal('thermometer'), name: name(), readability: step(), everyDays: everyDays() }),
  z.strictObject({ kind: z.literal('hygrometer'), name: name(), readability: decimal(READS_RANGE_PERCENT), everyDays: everyDays() }),
])
export const instrumentChangeInput = z.strictObject({ name: name(), everyDays: everyDays(), inUse: z.boolean() })

export const instrumentCheckInput = z.discriminatedUnion('method', [
  z.strictObject({
    method: z.literal('check_weight'),
    reference: weight(INGREDIENT_RANGE),
    read: weight(INGREDIENT_RANGE),
    note: note(),
  }),
  z.strictObject({ method: z.literal('ice_point'), read: temperature(), note: note() }),
  z.strictObject({ method: z.literal('reference'), reference: temperature(), read: temperature(), note: note() }),
  z.strictObject({ method: z.literal('salt_point'), read: relativeHumidity(), note: note() }),
  z.strictObject({ method: z.literal('reference_rh'), reference: relativeHumidity(), read: relativeHumidity(), note: note() }),
])
export type InstrumentCheckInput = z.output<typeof instrumentCheckInput>

export const fridgeInput = z.strictObject({ name: name(), thermometerId: z.number().int().positive().nullable() })
export interface CheckView {
  id: number
  method: CheckMethod
  reference: number
  read: number
  typed: string
  error: number
  passed: boolean
  offsetC: Celsius
  atMs: Milliseconds
  by: string
  note: string | null
}
export interface InstrumentView {
  id: number
  kind: InstrumentKind
  name: string
  purpose: 'meat' | 'mix' | null
  readability: number
  offsetC: Celsius
  everyDays: number
  inUse: boolean
  state: InstrumentState
  dueMs: Milliseconds | null
  checks: CheckView[]
}
/** How the instrument stood when it took a reading. */
export interface InstrumentMark {
  id: number
  name: string
  state: InstrumentState
}
