import { PPM_PER_UNIT, type Grams, type Ppm } from '../units/quantities'
import { nitriteShare, type CuringAgent } from './agent'
import { ppmInterval, type PpmInterval, type ScaleReading } from './ppm-interval'
import { shareByWeight } from './share-by-weight'

export interface PieceWeighed { massG: Grams, readings: 1 | 2 }

export interface CureWeighed {
  pieces: readonly PieceWeighed[]
  meatReadabilityG: Grams
  agent: CuringAgent
  agentG: Grams
  /** The whole mix: what is shared out on the mixing scale, piece by piece. */
  mixG: Grams
  mixReadabilityG: Grams
}

export interface PpmWithBounds extends PpmInterval { ppm: Ppm }

/** The pieces of a lot as one load: their weights and worst cases add up. At least one piece. */
function asOneLoad(cure: CureWeighed): ScaleReading {
  const massG = cure.pieces.reduce((sum, piece) => sum + piece.massG, 0)
  const readings = cure.pieces.reduce((sum, piece) => sum + piece.readings, 0)
  return { massG, readabilityG: cure.meatReadabilityG, readings }
}

const tolerance = (agent: CuringAgent): number =>
  agent.labelTolerance * nitriteShare(agent) / agent.nitriteFraction

/** Ingoing nitrite of the whole lot with its worst case. The agent was weighed once. */
export function lotPpm(cure: CureWeighed): PpmWithBounds {
  const load = asOneLoad(cure)
  const share = nitriteShare(cure.agent)
  const agent = { massG: cure.agentG, readabilityG: cure.mixReadabilityG, readings: 1 }
  return {
    ppm: PPM_PER_UNIT * cure.agentG * share / load.massG,
    ...ppmInterval(agent, load, share, tolerance(cure.agent)),
  }
}

/**
 * Ingoing nitrite of each piece when the mix is shared by weight: all the same figure, but a light piece rests on a
 * coarser reading, of itself and of its share of the mix. An even mix is presumed.
 */
export function piecesPpm(cure: CureWeighed): PpmWithBounds[] {
  const share = nitriteShare(cure.agent)
  const weights = cure.pieces.map(piece => piece.massG)
  const agentShares = shareByWeight(cure.agentG, weights)
  // The lot's one agent reading, carried over to the piece in proportion.
  const carriedDivisions = shareByWeight(cure.mixReadabilityG, weights)
  const agentInMix = cure.mixG > 0 ? cure.agentG / cure.mixG : 0
  return cure.pieces.map((piece, i) => {
    const pieceAgentG = agentShares[i]!
    const divisionG = cure.mixReadabilityG * agentInMix + carriedDivisions[i]!
    return {
      ppm: PPM_PER_UNIT * pieceAgentG * share / piece.massG,
      ...ppmInterval(
        { massG: pieceAgentG, readabilityG: divisionG, readings: 1 },
        { massG: piece.massG, readabilityG: cure.meatReadabilityG, readings: piece.readings },
        share, tolerance(cure.agent),
      ),
    }
  })
}
