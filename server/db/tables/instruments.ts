import type { CheckMethod, InstrumentKind } from '#shared/contracts/instruments'
import { bool, celsius, decimal, instant, int, nullable, text } from '../schema/column'
import { tableSpec, voidableSpec } from '../schema/table-spec'

const figure = () => decimal(13, 4)

/**
 * Scales, thermometers and hygrometers. `readability`, offsets and the figures of checks are grams, °C or percent of
 * humidity.
 */
export const instruments = tableSpec(
  'instruments',
  {
    kind: text<InstrumentKind>(16),
    name: text(),
    purpose: nullable(text<'meat' | 'mix'>(8)),
    readability: figure(),
    offsetC: celsius(),
    everyDays: int(),
    inUse: bool(),
  },
  ['name', 'everyDays', 'inUse', 'offsetC'],
)

export const instrumentChecks = voidableSpec('instrument_checks', {
  instrumentId: int(),
  method: text<CheckMethod>(16),
  referenceValue: figure(),
  readValue: figure(),
  readTyped: text(64),
  errorValue: figure(),
  passed: bool(),
  offsetC: celsius(),
  offsetBeforeC: celsius(),
  atMs: instant(),
  byId: int(),
  note: nullable(text(500)),
})
