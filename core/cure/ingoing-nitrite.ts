import { sumOf } from '../lists/sum-of'
import { PPM_PER_UNIT, type Grams, type Ppm } from '../units/quantities'
import { nitriteShare, type CuringAgent } from './agent'

export interface AgentWeighed extends Pick<CuringAgent, 'nitriteFraction' | 'nitriteAs'> {
  massG: Grams
}

/**
 * Ingoing nitrite of a dry cure as NaNO2, mg per kg of green weight: everything applied counts.
 * greenWeightG more than 0; masses 0 or more. Throws RangeError otherwise (callers check first).
 * Source: FSIS Processing Inspectors' Calculations Handbook, Directive 7620.3 (1995). Exact to rounding.
 */
export function ingoingNitritePpm(greenWeightG: Grams, agents: readonly AgentWeighed[]): Ppm {
  if (!(greenWeightG > 0)) throw new RangeError('green weight must be more than 0 g')
  const nitriteG = sumOf(agents, agent => agent.massG * nitriteShare(agent))
  return (PPM_PER_UNIT * nitriteG) / greenWeightG
}
