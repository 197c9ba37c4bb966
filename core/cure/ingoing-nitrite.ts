import { PPM_PER_UNIT, type Fraction, type Grams, type Ppm } from '../units/quantities'
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
  const nitriteG = agents.reduce((sum, agent) => sum + agent.massG * nitriteShare(agent), 0)
  return (PPM_PER_UNIT * nitriteG) / greenWeightG
}

/**
 * Wet cure left until even: nitrite shared between meat and brine (Handbook, immersion, method one).
 * greenWeightG + brineG more than 0.
 */
export const wetEquilibriumPpm = (greenWeightG: Grams, brineG: Grams, agents: readonly AgentWeighed[]): Ppm =>
  ingoingNitritePpm(greenWeightG + brineG, agents)

/**
 * Backwards: grams of agent for a wanted ppm. `share` is the agent's nitrite as NaNO2, more than 0 to 1.
 * Inverse of ingoingNitritePpm for one agent.
 */
export const agentForPpm = (ppm: Ppm, greenWeightG: Grams, share: Fraction): Grams =>
  (ppm * greenWeightG) / (PPM_PER_UNIT * share)
