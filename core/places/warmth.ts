import { sumOf } from '../lists/sum-of'
import { groupBy } from '../lists/group-by'
import { crossesAt } from '../readings/line-crossing'
import { COLD_CHECKS, HANG_CHECKS } from '../rules/house'
import type { Celsius, Milliseconds } from '../units/quantities'
import { outside, type WarmthLine } from './lines'

/** A stretch in which pieces lay too warm: as a hold is about it. */
export interface Breach {
  reason: 'place_warm' | 'place_warm_sum'
  /** Where it began. */
  placeId: number
  fromMs: Milliseconds
  toMs: Milliseconds
  worstC: Celsius
  /** How long it was above, and above what. */
  lastedMs: Milliseconds
  aboveC: Celsius
}

/** A part of a line above a temperature. */
interface Above extends WarmthLine {
  warmestC: Celsius
}

function aboveOf(line: WarmthLine, limitC: Celsius): Above[] {
  const warmestC = Math.max(line.fromC, line.toC)
  if (warmestC <= limitC) return []
  return [
    {
      ...line,
      fromMs: line.fromC > limitC ? line.fromMs : crossesAt(line, limitC),
      toMs: line.toC > limitC ? line.toMs : crossesAt(line, limitC),
      warmestC,
    },
  ]
}

/**
 * Unbroken stretches above a temperature, lines in order of time: one goes on where the next line begins at the instant
 * at which the last ended, also in another place.
 */
export function stretchesAbove(lines: readonly WarmthLine[], limitC: Celsius): Omit<Breach, 'reason'>[] {
  const found: Omit<Breach, 'reason'>[] = []
  for (const { placeId, fromMs, toMs, warmestC } of lines.flatMap(line => aboveOf(line, limitC))) {
    const last = found.at(-1)
    if (last && last.toMs === fromMs)
      Object.assign(last, { toMs, worstC: Math.max(last.worstC, warmestC), lastedMs: toMs - last.fromMs })
    else found.push({ placeId, fromMs, toMs, worstC: warmestC, lastedMs: toMs - fromMs, aboveC: limitC })
  }
  return found
}

/** What the stretches above the shop's limit come to, where they pass a day together. */
function sumBreach(lines: readonly WarmthLine[], limitC: Celsius): Breach[] {
  const stretches = stretchesAbove(lines, limitC)
  const lastedMs = sumOf(stretches, one => one.lastedMs)
  if (lastedMs <= COLD_CHECKS.sum.forMs) return []
  return [
    {
      reason: 'place_warm_sum',
      placeId: stretches[0]!.placeId,
      fromMs: stretches[0]!.fromMs,
      toMs: stretches.at(-1)!.toMs,
      worstC: Math.max(...stretches.map(one => one.worstC)),
      lastedMs,
      aboveC: limitC,
    },
  ]
}

export interface WarmthQuestion {
  saltOnly: boolean
  /** The limit for what lies cold. */
  limitC: Celsius
  /** Stretches that a decision covers. */
  decided: readonly { fromMs: Milliseconds; toMs: Milliseconds }[]
  /** How warm a place is meant to be for what hangs there; 13 °C, unless said. */
  hungC?: (placeId: number) => Celsius
}

/**
 * Stretches of a piece's time that hold it: over 7 °C for more than 2 h; salt only, over 4 °C for more than 4 h; and
 * over the shop's limit for more than a day in all. `decided` are stretches that a decision covers: they do not count
 * towards the day. What hangs to dry has the warmth of its place, `hungC`, and is held where it was warmer than that by
 * 2 °C for 12 h. Example: 9 °C from noon to half past two is held, to two
 * o'clock it is not. Figures of FSIS practice and of the house, see docs/limits.md.
 */
export function breachesOf(
  all: readonly WarmthLine[],
  { saltOnly, limitC, decided, hungC = () => HANG_CHECKS.usualC }: WarmthQuestion,
): Breach[] {
  const lines = all.filter(line => line.stage !== 'hang')
  const checks = saltOnly ? [COLD_CHECKS.saltOnly] : [COLD_CHECKS.hold]
  const long = checks.flatMap(({ aboveC, forMs }) =>
    stretchesAbove(lines, aboveC)
      .filter(one => one.lastedMs > forMs)
      .map(one => ({ ...one, reason: 'place_warm' as const })),
  )
  const hard = saltOnly
    ? stretchesAbove(lines, COLD_CHECKS.hold.aboveC).filter(
        one =>
          one.lastedMs > COLD_CHECKS.hold.forMs && !long.some(wide => wide.fromMs <= one.fromMs && wide.toMs >= one.toMs),
      )
    : []
  const open = lines.flatMap(line => outside(line, decided))
  const hung = all.filter(line => line.stage === 'hang')
  return [
    ...hangBreaches(hung, hungC),
    ...long,
    ...hard.map(one => ({ ...one, reason: 'place_warm' as const })),
    ...sumBreach(open, limitC),
  ]
}

/** Hung to dry, outside its plan: each place by its own warmth. */
function hangBreaches(lines: readonly WarmthLine[], hungC: (placeId: number) => Celsius): Breach[] {
  return [...groupBy(lines, line => line.placeId)].flatMap(([placeId, there]) =>
    stretchesAbove(there, hungC(placeId) + HANG_CHECKS.overC)
      .filter(one => one.lastedMs > HANG_CHECKS.forMs)
      .map(one => ({ ...one, reason: 'place_warm' as const })),
  )
}
