import { nitriteShare, type CuringAgent } from '../cure/agent'
import { PPM_PER_UNIT, type Fraction, type Ppm } from '../units/quantities'

export interface TieLine {
  /** ppm that come with each per cent of salt, when all salt comes through the agent. */
  ppmPerPercent: Ppm
  /** The stretch of the line inside both spans, or null when there is none. */
  window: { from: { saltShare: Fraction; ppm: Ppm }; to: { saltShare: Fraction; ppm: Ppm } } | null
}

/**
 * Nitrite curing salt ties ppm to salt: all points lie on one line through zero. Plain salt beside it goes to the right
 * of the line, nothing goes to the left. saltFraction of the agent more than 0. Exact.
 */
export function tieLine(
  agent: CuringAgent,
  salt: { low: Fraction; high: Fraction },
  ppm: { low: Ppm; high: Ppm },
): TieLine {
  const perShare = (PPM_PER_UNIT * nitriteShare(agent)) / agent.saltFraction
  const low = Math.max(salt.low, ppm.low / perShare)
  const high = Math.min(salt.high, ppm.high / perShare)
  const at = (saltShare: Fraction) => ({ saltShare, ppm: perShare * saltShare })
  return { ppmPerPercent: perShare / 100, window: low <= high ? { from: at(low), to: at(high) } : null }
}

/** Salt of which most comes through the agent itself: worth showing the line. */
export const isTied = (agent: CuringAgent): boolean =>
  agent.saltFraction > 0 && nitriteShare(agent) > 0 && nitriteShare(agent) < 0.01
