import { formatSpan } from '#core/units/format-span'
import { MS_PER_MINUTE } from '#core/units/quantities'
import type { Named } from './told-kind'

/** " for 30 min"; empty where it goes on. */
export const lastedWords = (minutes: number | null): string =>
  minutes === null ? '' : ` for ${formatSpan(minutes * MS_PER_MINUTE)}`

/** ", Cold store"; empty where it lies as it lay. */
export const inPlace = (placeId: number | null, { places }: Named): string =>
  placeId === null ? '' : `, ${places[placeId] ?? 'in another place'}`

/** "I-0003 Kitchen salt “12 g”, I-0007 Pepper not weighed". */
export const putWords = (
  { parts }: { parts: readonly { lotCode: string; weighed: { typed: string } | null }[] },
  { names = {} }: Named,
): string =>
  parts
    .map(({ lotCode, weighed }) => `${lotCode} ${names[lotCode] ?? ''} ${weighed ? `“${weighed.typed}”` : 'not weighed'}`)
    .join(', ')
