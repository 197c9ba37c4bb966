import { type Milliseconds, MS_PER_DAY, MS_PER_HOUR } from '#core/units/quantities'
import { refuse, type Refusal, type Writer } from '../context'

/**
 * A clock that jumps by more than this is asked about: a dead battery or a slip in its setting dates every record
 * wrong. House.
 */
const LONGEST_JUMP_MS = MS_PER_DAY

/** Thrown inside a write, which it rolls back: the clock is asked about before anything is recorded by it. */
export class ClockAsked extends Error {
  readonly refusal: Refusal
  constructor(nowMs: Milliseconds, zone: string, hours: number, than: 'last_record' | 'database') {
    super('the clock is asked about')
    this.refusal = refuse(
      than === 'database' ? 'clock_off_database' : 'clock_ahead',
      { nowMs, zone, hours },
      ['clock'],
    )
  }
}

/** More than a day past the last record, or a day off the database's own clock: somebody is to say that it is right. */
export function askAboutClock(
  writer: Writer,
  { lastAtMs, databaseMs }: { lastAtMs: Milliseconds; databaseMs: Milliseconds },
): void {
  if (writer.clockRight) return
  const ask = (ms: Milliseconds, than: 'last_record' | 'database') =>
    new ClockAsked(writer.nowMs, writer.zone, Math.round(Math.abs(ms) / MS_PER_HOUR), than)
  if (Math.abs(writer.nowMs - databaseMs) > LONGEST_JUMP_MS) throw ask(writer.nowMs - databaseMs, 'database')
  if (writer.nowMs - lastAtMs > LONGEST_JUMP_MS) throw ask(writer.nowMs - lastAtMs, 'last_record')
}
