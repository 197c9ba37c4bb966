import { HEAT_FROM_C, LONG_WARM_MS, LUKEWARM } from '../rules/house'
import { type CoolingRule, GROWTH_FROM_C, KILL_FROM_C } from '../rules/guideline'
import { judgeCooling, type Cooling } from '../cooling/cooling'
import type { Celsius, Milliseconds } from '../units/quantities'
import { judgeColdSmoke, sessionsAbove, type ColdSession, type ColdSmoke } from './cold-smoke'
import { comeUp, type ComeUp } from './come-up'
import type { CoreReading } from '../readings/core-reading'

/** One smoke of the pieces, its readings in order of time. */
export interface Heat {
  code: string
  startedAtMs: Milliseconds
  pulledAtMs: Milliseconds | null
  /** Core readings in the smoker and after it. */
  smoke: readonly CoreReading[]
  cool: readonly CoreReading[]
  chamber: readonly { atMs: Milliseconds; tempC: Celsius }[]
  /** When the pieces left a place on record at 10 °C or less for this heat; null when no record shows it. */
  coldUntilMs: Milliseconds | null
  /** Pull temperature aimed at. */
  targetC: Celsius
}

export interface HeatsQuestion {
  heats: readonly Heat[]
  rule: CoolingRule
  saltOnly: boolean
  errorC: Celsius
  nowMs: Milliseconds
}

export interface HeatsJudged {
  comeUps: (ComeUp & { code: string })[]
  /** Every fall of the core below 54.4 °C that no later heat closed in time, and the heats that peaked below it. */
  coolings: (Cooling & { code: string })[]
  /** Heats that peaked under 54.4 °C: time between 20 and 50 °C, up and down, where that is too long. */
  lukewarm: { code: string; ms: Milliseconds; allowedMs: Milliseconds }[]
  cold: ColdSmoke
  /** Smoked cold, then hot: time above 10 °C in all before the kill, where that is over 6 h. */
  coldThenHotMs: Milliseconds | null
  /** Codes of smokes whose cooling is still to be recorded: the last heat's alone, and only when it was one. */
  coolingOpen: string[]
}

/** A lot's heats: what each group of its pieces came to, and which smokes were cold ones. */
export interface LotHeats {
  groups: HeatsJudged[]
  coldRuns: string[]
}

const hottest = (heat: Heat): Celsius =>
  [...heat.smoke, ...heat.cool].reduce((most, reading) => Math.max(most, reading.coreC), -Infinity)
/** The core stayed under 30 °C; without a core reading, a smoke that aimed for no more. */
export const isCold = (heat: Heat): boolean =>
  heat.smoke.length + heat.cool.length > 0 ? hottest(heat) <= HEAT_FROM_C : heat.targetC <= HEAT_FROM_C

/** Time that straight lines between readings spend inside a band. */
function timeWithin(readings: readonly CoreReading[], fromC: Celsius, toC: Celsius): Milliseconds {
  return readings.slice(1).reduce((sum, b, i) => {
    const a = readings[i]!
    const [low, high] = [Math.min(a.coreC, b.coreC), Math.max(a.coreC, b.coreC)]
    if (low === high) return low > fromC && low < toC ? sum + b.atMs - a.atMs : sum
    return sum + ((b.atMs - a.atMs) * Math.max(0, Math.min(high, toC) - Math.max(low, fromC))) / (high - low)
  }, 0)
}

/**
 * The readings of a fall: from the last one at 54.4 °C or more until the next heat begins. `returnedMs` is when a later
 * heat was there again.
 */
interface Fall {
  readings: CoreReading[]
  returnedMs: Milliseconds | null
  code: string
}

function fallsOf(heats: readonly Heat[]): Fall[] {
  const all = heats
    .flatMap(heat => [...heat.smoke, ...heat.cool].map(reading => ({ ...reading, code: heat.code })))
    .toSorted((a, b) => a.atMs - b.atMs)
  const falls: Fall[] = []
  all.forEach((reading, i) => {
    const next = all[i + 1]
    if (reading.coreC < KILL_FROM_C || (next && next.coreC >= KILL_FROM_C)) return
    const back = all.findIndex((later, j) => j > i && later.coreC >= KILL_FROM_C)
    const nextMs = Math.min(
      ...heats.flatMap(heat => (heat.smoke[0] && heat.smoke[0].atMs > reading.atMs ? [heat.smoke[0].atMs] : [])),
    )
    falls.push({
      readings: all.slice(i, back < 0 ? undefined : back).filter(one => one.atMs < nextMs),
      returnedMs: back < 0 ? null : all[back]!.atMs,
      code: reading.code,
    })
  })
  return falls
}

/** A fall that a later heat closed within the first stage's time is work between two heats, not a cooling. */
const isClosed = (fall: Fall, rule: CoolingRule): boolean =>
  fall.returnedMs !== null && fall.returnedMs - fall.readings[0]!.atMs <= rule.firstMs

function coolingOfFall(fall: Fall, q: HeatsQuestion): Cooling {
  const found = judgeCooling(fall.readings, q.rule, q.errorC)
  // Warmed up again before it was cold: the readings to come are another fall's, so what is open stays open.
  if (fall.returnedMs === null || (found.status !== 'under_way' && found.status !== 'no_reading')) return found
  return { ...found, status: found.middleMs === null ? 'not_shown_first' : 'not_shown_second' }
}

/** Everything that the heats of one group of pieces, smoked together in this order, say about growth between them. */
export function judgeHeats(q: HeatsQuestion): HeatsJudged {
  const hot = q.heats.filter(heat => !isCold(heat))
  const falls = fallsOf(hot)
  const open = (atMs: Milliseconds) =>
    falls.find(
      fall =>
        fall.readings[0]!.atMs < atMs && (fall.returnedMs === null || fall.returnedMs > atMs) && isClosed(fall, q.rule),
    )
  const comeUps = hot
    .filter(heat => heat.smoke.length > 0 && !open(heat.smoke[0]!.atMs))
    .map(heat => ({
      code: heat.code,
      ...comeUp(heat.smoke, { saltOnly: q.saltOnly, coldUntilMs: heat.coldUntilMs, ended: heat.pulledAtMs !== null }),
    }))
  const peaked = hot.filter(heat => hottest(heat) < KILL_FROM_C && heat.pulledAtMs !== null)
  const below = peaked.map(heat => ({
    code: heat.code,
    ...judgeCooling(fromPeak([...heat.smoke, ...heat.cool]), q.rule, q.errorC),
  }))
  const pulled = new Set(q.heats.filter(heat => heat.pulledAtMs !== null).map(heat => heat.code))
  const coolings = [
    ...falls
      .filter(fall => !isClosed(fall, q.rule) && pulled.has(fall.code))
      .map(fall => ({ code: fall.code, ...coolingOfFall(fall, q) })),
    ...below,
  ]
  const allowedMs = q.saltOnly ? LUKEWARM.saltOnlyMs : LUKEWARM.curedMs
  const lukewarm = peaked
    .map(heat => ({
      code: heat.code,
      ms: timeWithin([...heat.smoke, ...heat.cool], LUKEWARM.fromC, LUKEWARM.toC),
      allowedMs,
    }))
    .filter(one => one.ms > allowedMs)
  const last = hot.at(-1)
  const stillOpen
    = last
      && coolings.some(
        cooling => cooling.code === last.code && (cooling.status === 'under_way' || cooling.status === 'no_reading'),
      )
  return {
    comeUps,
    coolings,
    lukewarm,
    cold: judgeColdSmoke(
      q.heats.filter(isCold).map(heat => sessionOf(heat, q.nowMs)),
      q.saltOnly,
    ),
    coldThenHotMs: coldThenHot(q),
    coolingOpen: last && stillOpen ? [last.code] : [],
  }
}

function fromPeak(readings: readonly CoreReading[]): CoreReading[] {
  const peakC = Math.max(...readings.map(reading => reading.coreC))
  return readings.slice(readings.findLastIndex(reading => reading.coreC === peakC))
}

const sessionOf = (heat: Heat, nowMs: Milliseconds): ColdSession => ({
  fromMs: heat.startedAtMs,
  toMs: heat.pulledAtMs ?? nowMs,
  readings: heat.smoke.length > 0 ? heat.smoke.map(({ atMs, coreC }) => ({ atMs, tempC: coreC })) : heat.chamber,
})

/**
 * The hours above 10 °C in all, where they are over 6: cold sessions and the way up of the first heat behind them; null
 * when there is no such pair, or it was shorter.
 */
function coldThenHot(q: HeatsQuestion): Milliseconds | null {
  const firstHot = q.heats.findIndex(heat => !isCold(heat) && heat.smoke.length > 0)
  if (firstHot < 1 || !q.heats.slice(0, firstHot).some(isCold)) return null
  const heat = q.heats[firstHot]!
  const up = heat.smoke.slice(0, heat.smoke.findIndex(reading => reading.coreC >= KILL_FROM_C) + 1 || undefined)
  const coldMs = sessionsAbove(
    q.heats
      .slice(0, firstHot)
      .filter(isCold)
      .map(one => sessionOf(one, q.nowMs)),
    GROWTH_FROM_C,
  )
  const ms = coldMs + timeWithin(up, GROWTH_FROM_C, KILL_FROM_C)
  return ms > LONG_WARM_MS ? ms : null
}
