import { formatIngredient, formatMeat, formatOffset, formatTemperature, type Notation } from '#core/units/format'
import type { InstrumentView } from '#shared/contracts/instruments'
import { STATE_WORDS } from '#shared/messages/instruments'

const TONES = { checked: 'good', overdue: 'watch', never: 'watch', failed: 'act' } as const

/** How fine it reads, in its own unit. */
export const readabilityWords = ({ kind, readability }: InstrumentView, as: Notation): string =>
  kind === 'scale' ? formatIngredient(readability, as, readability) : formatOffset(readability, as).replace('+', '')

/** A figure that it showed or should show, as finely as it reads. */
export function figureWords({ kind, readability }: InstrumentView, value: number, as: Notation): string {
  if (kind === 'thermometer') return formatTemperature(value, as)
  return readability < 1 ? formatIngredient(value, as, readability) : formatMeat(value, as)
}
export const purposeWords = ({ kind, purpose }: InstrumentView): string =>
  kind === 'thermometer' ? 'temperature' : purpose === 'meat' ? 'meat' : 'the cure'

export function offsetWords({ kind, offsetC }: InstrumentView, as: Notation): string {
  if (kind !== 'thermometer') return '–'
  return offsetC === 0 ? 'none' : formatOffset(offsetC, as)
}
export const stateSaid = ({ inUse, state }: InstrumentView) =>
  inUse ? { tone: TONES[state], words: STATE_WORDS[state] } : { tone: 'plain' as const, words: 'out of use' }
