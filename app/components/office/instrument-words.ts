import { formatIngredient, formatMeat, formatNumber, formatOffset, formatTemperature, type Notation } from '#core/units/format'
import type { InstrumentView } from '#shared/contracts/instruments'
import { STATE_WORDS } from '#shared/messages/instruments'

const TONES = { checked: 'good', overdue: 'watch', never: 'watch', failed: 'act' } as const

const points = (value: number, as: Notation) => `${formatNumber(value, 1, as.decimal)} %`

/** How far it is off, in its own unit, with its sign. */
export const offsetFigure = ({ kind }: { kind: InstrumentView['kind'] }, value: number, as: Notation): string =>
  kind === 'hygrometer' ? `${value < 0 ? '−' : '+'}${points(Math.abs(value), as)}` : formatOffset(value, as)

/** How fine it reads, in its own unit. */
export function readabilityWords({ kind, readability }: InstrumentView, as: Notation): string {
  if (kind === 'scale') return formatIngredient(readability, as, readability)
  return kind === 'hygrometer' ? points(readability, as) : formatOffset(readability, as).replace('+', '')
}

/** A figure that it showed or should show, as finely as it reads. */
export function figureWords({ kind, readability }: InstrumentView, value: number, as: Notation): string {
  if (kind === 'thermometer') return formatTemperature(value, as)
  if (kind === 'hygrometer') return points(value, as)
  return readability < 1 ? formatIngredient(value, as, readability) : formatMeat(value, as)
}

export function purposeWords({ kind, purpose }: InstrumentView): string {
  if (kind === 'scale') return purpose === 'meat' ? 'meat' : 'the cure'
  return kind === 'hygrometer' ? 'humidity' : 'temperature'
}

export function offsetWords({ kind, offsetC }: InstrumentView, as: Notation): string {
  if (kind === 'scale') return '–'
  return offsetC === 0 ? 'none' : offsetFigure({ kind }, offsetC, as)
}

export const stateSaid = ({ inUse, state }: InstrumentView) =>
  inUse ? { tone: TONES[state], words: STATE_WORDS[state] } : { tone: 'plain' as const, words: 'out of use' }
