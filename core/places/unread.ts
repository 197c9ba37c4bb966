import type { Stay } from '../life/fold'
import { UNREAD } from '../rules/house'
import type { Milliseconds } from '../units/quantities'
import type { PlaceReading } from './lines'
import { isBench, usesOf, type PlaceKind, type PlaceUse } from './place-kind'

interface Place {
  kind: PlaceKind
  can: readonly PlaceUse[] | null
}

/** The hours without a reading after which a place with meat in it is asked for, and what lies there is held. */
export interface UnreadLimits {
  askMs: Milliseconds
  holdMs: Milliseconds
}

/**
 * Null for a counter or a table, which count as warm until they are read. Meat cured with salt only waits half as long.
 * Example: a fridge with bacon in it is asked for after 12 h and holds after 24 h.
 */
export function unreadLimits(place: Place, saltOnly: boolean): UnreadLimits | null {
  if (isBench(place)) return null
  if (usesOf(place).every(use => use === 'freeze')) return UNREAD.frozen
  return saltOnly ? UNREAD.saltOnly : UNREAD.cold
}

/** A stretch in which nobody read where a piece lay. `toMs` null: it goes on. */
export interface UnreadStretch {
  placeId: number
  fromMs: Milliseconds
  toMs: Milliseconds | null
}

export interface UnreadQuestion {
  saltOnly: boolean
  placeOf: (placeId: number) => Place | undefined
  readingsOf: (placeId: number) => readonly PlaceReading[]
  /** When readings began to be asked for. */
  sinceMs: Milliseconds
  /** Instants until which a decision on the unread place covers the piece: the clock begins anew at each. */
  decidedMs: readonly Milliseconds[]
  nowMs: Milliseconds
}

/** Stays in one place, whatever was done there, follow each other as one; a heat has readings of its own. */
function together(stays: readonly Stay[]): (UnreadStretch & { heat: boolean })[] {
  const found: (UnreadStretch & { heat: boolean })[] = []
  for (const { placeId, stage, fromMs, toMs } of stays) {
    if (placeId === null) continue
    const [last, heat] = [found.at(-1), stage === 'heat']
    if (last && last.placeId === placeId && last.heat === heat && last.toMs === fromMs) last.toMs = toMs
    else found.push({ placeId, fromMs, toMs, heat })
  }
  return found
}

/**
 * Stretches of a piece's stays for which nobody can show how cold it lay: no reading of its place for longer than
 * `unreadLimits` allows, counted from the last reading there, or from its coming in. House rule.
 */
export function unreadStretches(stays: readonly Stay[], question: UnreadQuestion): UnreadStretch[] {
  const { saltOnly, placeOf, readingsOf, sinceMs, decidedMs, nowMs } = question
  return together(stays).flatMap(({ placeId, fromMs, toMs, heat }) => {
    const place = placeOf(placeId)
    const limits = place && !heat ? unreadLimits(place, saltOnly) : null
    const [beginMs, endMs] = [Math.max(fromMs, sinceMs), toMs ?? nowMs]
    if (!limits || endMs <= beginMs) return []
    const known = [...readingsOf(placeId).map(reading => reading.atMs), ...decidedMs]
      .filter(atMs => atMs > beginMs && atMs <= endMs)
      .toSorted((a, b) => a - b)
    const points = [beginMs, ...known, endMs]
    return points.slice(1).flatMap((pointMs, i): UnreadStretch[] => {
      const lastMs = points[i]!
      if (pointMs - lastMs <= limits.holdMs) return []
      return [{ placeId, fromMs: lastMs, toMs: toMs === null && i === points.length - 2 ? null : pointMs }]
    })
  })
}
