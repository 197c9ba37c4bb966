import { nitriteShare, type CuringAgent } from '../cure/agent'
import { PPM_PER_UNIT, type Fraction, type Grams, type Ppm } from '../units/quantities'
import type { Grain } from './grains'
import { exactly, hull, over, plus, shared, times, type Interval } from './interval'
import type { SpoonAmount } from './parse-spoons'

export interface SpoonLine {
  grain: Grain
  amount: SpoonAmount & { also?: readonly SpoonAmount[] }
}
/** `cannot_tell`: part of the range is inside, part is not. */
export const SPOON_VERDICTS = ['below_floor', 'inside', 'above_limit', 'cannot_tell', 'no_nitrite'] as const
export type SpoonVerdict = (typeof SPOON_VERDICTS)[number]

export interface SpoonFindings {
  lines: { massG: Interval; share: Interval }[]
  /** Lines whose notations do not say the same: what each means. Somebody must say which holds; until then all may. */
  differing: { line: number; massesG: Interval[] }[]
  ppm: Interval
  /** All salt, the curing salt's too, as share of meat. */
  saltShare: Interval
  sugarShare: Interval
  verdict: SpoonVerdict
}

/**
 * What a recipe in spoons can mean on this meat, by interval arithmetic over the grains' densities. A line "per 3 kg"
 * is scaled to the meat; another is for all of it. `labelTolerance` counts as the agent has it. meatG more than 0.
 * Exact for the ranges given.
 */
export function checkSpoons(
  lines: readonly SpoonLine[],
  meatG: Grams,
  agent: CuringAgent,
  limits: { floorPpm: Ppm; maxPpm: Ppm },
): SpoonFindings {
  const meat = exactly(meatG)
  const notations = lines.map(({ grain, amount }) =>
    [amount, ...(amount.also ?? [])].map((one) => {
      const whole = one.massG !== null ? exactly(one.massG) : times(exactly(one.ml!), grain.gramsPerMl)
      return one.perMeatG === null ? whole : times(whole, exactly(meatG / one.perMeatG))
    }),
  )
  // All of them are said to be one amount, so it lies where they overlap.
  const masses = notations.map(found => shared(found) ?? hull(found))
  const differing = notations.flatMap((found, line) => (shared(found) === null ? [{ line, massesG: found }] : []))
  const sumHeld = (what: 'salt' | 'sugar') =>
    lines.reduce((sum, line, i) => plus(sum, times(masses[i]!, line.grain[what])), exactly(0))
  const sumOf = (role: string, factor: Interval = exactly(1)) =>
    lines.reduce((sum, line, i) => (line.grain.role === role ? plus(sum, times(masses[i]!, factor)) : sum), exactly(0))
  const share = nitriteShare(agent)
  const off = (share * agent.labelTolerance) / agent.nitriteFraction
  const ppm = over(times(sumOf('agent', { low: share - off, high: share + off }), exactly(PPM_PER_UNIT)), meat)
  return {
    lines: masses.map(massG => ({ massG, share: over(massG, meat) })),
    differing,
    ppm,
    saltShare: over(plus(sumHeld('salt'), sumOf('agent', exactly(agent.saltFraction))), meat),
    sugarShare: over(sumHeld('sugar'), meat),
    verdict: spoonVerdict(ppm, limits),
  }
}

function spoonVerdict(ppm: Interval, limits: { floorPpm: Ppm; maxPpm: Ppm }): SpoonVerdict {
  if (ppm.high === 0) return 'no_nitrite'
  if (ppm.high < limits.floorPpm) return 'below_floor'
  if (ppm.low > limits.maxPpm) return 'above_limit'
  return ppm.low >= limits.floorPpm && ppm.high <= limits.maxPpm ? 'inside' : 'cannot_tell'
}

/** The middle of a range, rounded to a share a person would write: salt and sugar to 0.1 %, spices to 0.01 %. */
export const writtenShare = (share: Interval, step: Fraction): Fraction =>
  Math.round((share.low + share.high) / 2 / step) * step
