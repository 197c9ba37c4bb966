import { sumOf } from '../lists/sum-of'
import { fail, ok, type Result } from '../result'
import { type Fraction, type Grams, type Ppm, PPM_PER_UNIT } from '../units/quantities'
import { nitriteShare, type CuringAgent } from './agent'

export interface BulkPart {
  role: 'agent' | 'salt' | 'sugar' | 'spice'
  massG: Grams
  saltFraction: Fraction
  sugarFraction: Fraction
}

/**
 * A mix made for many kilograms is itself a curing agent: its nitrite share is the curing salt's, thinned. The
 * tolerance carries the label's and the scale's: one reading of `readabilityG` for the curing salt, one for each other
 * part. Fails with `mix_without_agent` when no curing salt is in it: then it is a seasoning. Parts more than 0 g.
 */
export function bulkAgent(
  agent: CuringAgent,
  parts: readonly BulkPart[],
  readabilityG: Grams,
): Result<CuringAgent, 'mix_without_agent'> {
  const massG = sumOf(parts, part => part.massG)
  const agentG = sumOf(parts.filter(part => part.role === 'agent'), part => part.massG)
  if (!(agentG > 0) || !(agent.nitriteFraction > 0)) return fail('mix_without_agent')
  const inMix = agentG / massG
  const relative = agent.labelTolerance / agent.nitriteFraction
  const highest = ((agentG + readabilityG / 2) / (massG - ((parts.length - 2) * readabilityG) / 2)) * (1 + relative)
  return ok({
    nitriteFraction: agent.nitriteFraction * inMix,
    nitriteAs: agent.nitriteAs,
    nitrateFraction: agent.nitrateFraction * inMix,
    ...(agent.nitrateAs ? { nitrateAs: agent.nitrateAs } : {}),
    saltFraction: sumOf(parts, part => part.massG * part.saltFraction) / massG,
    sugarFraction: sumOf(parts, part => part.massG * part.sugarFraction) / massG,
    labelTolerance: agent.nitriteFraction * (highest - inMix),
  })
}

/** How much of a bulk mix to take for this meat, grams; exact. */
export const takeOfMixG = (mix: CuringAgent, greenWeightG: Grams, ppm: Ppm): Grams =>
  (ppm * greenWeightG) / (PPM_PER_UNIT * nitriteShare(mix))
