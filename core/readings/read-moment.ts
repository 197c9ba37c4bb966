import { Temporal } from 'temporal-polyfill'
import type { IsoDate } from '../calendar/local-day'
import type { Milliseconds } from '../units/quantities'

export interface MomentOptions {
  /** Zone of times that name none: the shop's, or "UTC". */
  zone: string
  /** Which comes first in 03/04/2026. */
  dayFirst: boolean
  /** Date of a bare clock time. */
  onDate: IsoDate
}

const two = (text: string) => text.padStart(2, '0')

const DATE = /(\d{4})-(\d{1,2})-(\d{1,2})|(\d{1,2})[./](\d{1,2})[./](\d{4})/
const CLOCK = /(\d{1,2}):(\d{2})(?::(\d{2})(?:\.\d+)?)?/
const OFFSET = /Z|[+-]\d{2}:?\d{2}/
const MOMENT = new RegExp(`^(?:${DATE.source})?[T ]*${CLOCK.source}\\s*(${OFFSET.source})?$`, 'i')

/**
 * A moment as loggers and people write it: "2026-11-23 08:15", with T, seconds, Z or an offset; "23/11/2026 8:15";
 * "8:15" on `onDate`. Milliseconds since 1970 UTC, or null when it is none of these.
 */
export function readMoment(raw: string, options: MomentOptions): Milliseconds | null {
  const text = raw.trim()
  const parts = MOMENT.exec(text)
  if (!parts) return null
  const [, isoYear, isoMonth, isoDay, first, second, slashYear, hour, minute, seconds, offset] = parts
  const date = isoYear
    ? `${isoYear}-${two(isoMonth!)}-${two(isoDay!)}`
    : slashYear
      ? `${slashYear}-${two(options.dayFirst ? second! : first!)}-${two(options.dayFirst ? first! : second!)}`
      : options.onDate
  const local = `${date}T${two(hour!)}:${minute}:${seconds ?? '00'}`
  try {
    return offset
      ? Temporal.Instant.from(`${local}${offset.toUpperCase()}`).epochMilliseconds
      : Temporal.PlainDateTime.from(local).toZonedDateTime(options.zone).epochMilliseconds
  }
  catch (error) {
    // 31/02 and 25:00 are well formed and no moment.
    if (error instanceof RangeError) return null
    throw error
  }
}
