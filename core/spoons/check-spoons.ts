import { nitriteShare, type CuringAgent } from '../cure/agent'
import { PPM_PER_UNIT, type Fraction, type Grams, type Ppm } from '../units/quantities'
import type { Grain } from './grains'
import { exactly, over, plus, times, type Interval } from './interval'
import type { SpoonAmount } from './parse-spoons'

export interface SpoonLine { grain: Grain, amount: SpoonAmount }
/** `cannot_tell`: part of the range is inside, part is not. */
export const SPOON_VERDICTS = ['below_floor', 'inside', 'above_limit', 'cannot_tell', 'no_nitrite'] as const
export type SpoonVerdict = (typeof SPOON_VERDICTS)[number]

export interface SpoonFindings {
  lines: { massG: Interval, share: Interval }[]
  ppm: Interval
  /** All salt, the curing salt's too, as share of meat. */
  saltShare: Interval
  sugarShare: Interval
  verdict: SpoonVerdict
}

/**
 * What a recipe in spoons can mean on this meat, by interval arithmetic over the grains' densities. A line "per 3 kg" is scaled to the
 * meat; another is for all of it. `labelTolerance` counts as the agent has it. meatG more than 0. Exact for the ranges given.
 */
export function checkSpoons(lines: readonly SpoonLine[], meatG: Grams, agent: CuringAgent, limits: { floorPpm: Ppm, maxPpm: Ppm }): SpoonFindings {
  const meat = exactly(meatG)
  const masses = lines.map(({ grain, amount }) => {
    const whole = amount.massG !== null ? exactly(amount.massG) : times(exactly(amount.ml!), grain.gramsPerMl)
    return amount.perMeatG === null ? whole : times(whole, exactly(meatG / amount.perMeatG))
  })
  const sumOf = (role: string, factor: Interval = exactly(1)) => lines.reduce((sum, line, i) =>
    line.grain.role === role ? plus(sum, times(masses[i]!, factor)) : sum, exactly(0))
  const share = nitriteShare(agent)
  const off = share * agent.labelTolerance / agent.nitriteFraction
  const ppm = over(times(sumOf('agent', { low: share - off, high: share + off }), exactly(PPM_PER_UNIT)), meat)
  return {
    lines: masses.map(massG => ({ massG, share: over(massG, meat) })), ppm,
    saltShare: over(plus(sumOf('salt'), sumOf('agent', exactly(agent.saltFraction))), meat), sugarShare: over(sumOf('sugar'), meat),
    verdict: spoonVerdict(ppm, limits),
  }
}

function spoonVerdict(ppm: Interval, limits: { floorPpm: Ppm, maxPpm: Ppm }): SpoonVerdict {
  if (ppm.high === 0) return 'no_nitrite'
  if (ppm.high < limits.floorPpm) return 'below_floor'
  if (ppm.low > limits.maxPpm) return 'above_limit'
  return ppm.low >= limits.floorPpm && ppm.high <= limits.maxPpm ? 'inside' : 'cannot_tell'
}

/** The middle of a range, rounded to a share a person would write: salt and sugar to 0.1 %, spices to 0.01 %. */
export const writtenShare = (share: Interval, step: Fraction): Fraction => Math.round((share.low + share.high) / 2 / step) * step
