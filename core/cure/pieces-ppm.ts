import { propagate, scaleFigure, withinTolerance, type Uncertain } from '../uncertainty/propagate'
import { PPM_PER_UNIT, type Fraction, type Grams, type Ppm } from '../units/quantities'
import { nitriteShare, type CuringAgent } from './agent'
import { isWet, meaningOf, type CureMethod } from './cure-method'
import { ppmInterval, type PpmInterval, type ScaleReading } from './ppm-interval'
import { shareByWeight } from './share-by-weight'

export interface PieceWeighed {
  massG: Grams
  readings: 1 | 2
}

export interface CureWeighed {
  /** Left out: a measured dry cure. */
  method?: CureMethod
  pieces: readonly PieceWeighed[]
  meatReadabilityG: Grams
  agent: CuringAgent
  agentG: Grams
  /** How often the curing salt was weighed: twice for two applications. Left out: once. */
  agentReadings?: number
  /** The whole mix: what is shared out on the mixing scale, piece by piece. */
  mixG: Grams
  mixReadabilityG: Grams
  /** Excess cure: mix shaken off and weighed back. */
  weighedBackG?: Grams
  /** Wet cure: the brine's water, weighed on the meat scale. The brine weighs water and mix. */
  waterG?: Grams
  /**
   * Pick-up: all pieces after the brine; before that is known, the most the meat takes up, as a share of green weight.
   */
  afterG?: Grams | null
  mostPickUp?: Fraction
}

export interface PpmWithBounds extends PpmInterval {
  ppm: Ppm
}

/** The pieces of a lot as one load: their weights and worst cases add up. At least one piece. */
function asOneLoad(cure: CureWeighed): ScaleReading {
  const massG = cure.pieces.reduce((sum, piece) => sum + piece.massG, 0)
  const readings = cure.pieces.reduce((sum, piece) => sum + piece.readings, 0)
  return { massG, readabilityG: cure.meatReadabilityG, readings }
}

const tolerance = (agent: CuringAgent): number => (agent.labelTolerance * nitriteShare(agent)) / agent.nitriteFraction

export const meaningOfCure = (cure: CureWeighed) => meaningOf(cure.method ?? 'dry', (cure.afterG ?? null) !== null)

/** An upper bound says nothing about the least: its low end is 0. */
const asMeant = (cure: CureWeighed, got: PpmWithBounds): PpmWithBounds =>
  meaningOfCure(cure) === 'upper_bound' ? { ...got, lowPpm: 0 } : got

/** Share of the mix that stayed on: 1, less what was weighed back, at the mix's own composition. */
const keptShare = (cure: CureWeighed): Fraction =>
  cure.method === 'excess' && cure.mixG > 0 ? Math.max(0, 1 - (cure.weighedBackG ?? 0) / cure.mixG) : 1

/**
 * Brine methods: Handbook (Directive 7620.3), immersion, methods one and two. Inputs: agent, share, meat, brine, after.
 */
function bathPpm(cure: CureWeighed): PpmWithBounds {
  const load = asOneLoad(cure)
  const share = nitriteShare(cure.agent)
  const brineG = (cure.waterG ?? 0) + cure.mixG
  const inputs: Uncertain[] = [
    scaleFigure(cure.agentG, cure.mixReadabilityG, cure.agentReadings ?? 1),
    withinTolerance(share, tolerance(cure.agent)),
    scaleFigure(load.massG, load.readabilityG, load.readings),
    scaleFigure(brineG, cure.meatReadabilityG),
  ]
  const afterG = cure.afterG ?? null
  const pickedUp = afterG === null ? null : scaleFigure(afterG, cure.meatReadabilityG, cure.pieces.length)
  const found
    = cure.method === 'wet_equilibrium'
      ? propagate(inputs, ([agentG, s, meatG, bathG]) => (PPM_PER_UNIT * agentG! * s!) / (meatG! + bathG!))
      : pickedUp
        ? propagate(
            [...inputs, pickedUp],
            ([agentG, s, meatG, bathG, outG]) => (((PPM_PER_UNIT * agentG! * s!) / bathG!) * (outG! - meatG!)) / meatG!,
          )
        : propagate(
            [inputs[0]!, inputs[1]!, inputs[3]!],
            ([agentG, s, bathG]) => ((PPM_PER_UNIT * agentG! * s!) / bathG!) * (cure.mostPickUp ?? 1),
          )
  return {
    ppm: Math.max(0, found.value),
    lowPpm: Math.max(0, found.low),
    highPpm: found.high,
    expandedPpm: found.expanded,
  }
}

/**
 * Ingoing nitrite of the whole lot with its worst case, ppm as NaNO2. Dry cures by the closed form, wet cures by
 * `propagate`. For an upper bound the low end is 0: what was taken up is not known.
 */
export function lotPpm(cure: CureWeighed): PpmWithBounds {
  if (isWet(cure.method ?? 'dry')) return asMeant(cure, bathPpm(cure))
  const load = asOneLoad(cure)
  const share = nitriteShare(cure.agent)
  const agentG = cure.agentG * keptShare(cure)
  // What was shaken off is a second reading on the mixing scale; only its curing salt counts.
  const backReadings = cure.weighedBackG && cure.mixG > 0 ? cure.agentG / cure.mixG : 0
  const agent = {
    massG: agentG,
    readabilityG: cure.mixReadabilityG,
    readings: (cure.agentReadings ?? 1) + backReadings,
  }
  return asMeant(cure, {
    ppm: (PPM_PER_UNIT * agentG * share) / load.massG,
    ...ppmInterval(agent, load, share, tolerance(cure.agent)),
  })
}

/**
 * Ingoing nitrite of each piece when the mix is shared by weight: all the same figure, but a light piece rests on a
 * coarser reading, of itself and of its share of the mix. An even mix is presumed. In one brine all pieces are as the
 * lot.
 */
export function piecesPpm(cure: CureWeighed): PpmWithBounds[] {
  if (isWet(cure.method ?? 'dry')) {
    const whole = lotPpm(cure)
    return cure.pieces.map(() => whole)
  }
  return sharedPpm(
    cure,
    shareByWeight(
      cure.agentG * keptShare(cure),
      cure.pieces.map(piece => piece.massG),
    ),
  )
}

/** The same for any sharing of the curing salt, grams a piece: equal scoops, or what each bag really got. */
export function sharedPpm(cure: CureWeighed, agentSharesG: readonly Grams[]): PpmWithBounds[] {
  const share = nitriteShare(cure.agent)
  // The lot's agent readings, carried over to the piece in proportion.
  const carriedDivisions = shareByWeight(
    cure.mixReadabilityG * (cure.agentReadings ?? 1),
    cure.pieces.map(piece => piece.massG),
  )
  const agentInMix = cure.mixG > 0 ? cure.agentG / cure.mixG : 0
  return cure.pieces.map((piece, i) => {
    const pieceAgentG = agentSharesG[i]!
    const divisionG = cure.mixReadabilityG * agentInMix + carriedDivisions[i]!
    return asMeant(cure, {
      ppm: (PPM_PER_UNIT * pieceAgentG * share) / piece.massG,
      ...ppmInterval(
        { massG: pieceAgentG, readabilityG: divisionG, readings: 1 },
        { massG: piece.massG, readabilityG: cure.meatReadabilityG, readings: piece.readings },
        share,
        tolerance(cure.agent),
      ),
    })
  })
}

/** What each piece gets when the mix is dealt out in equal scoops instead of by weight: light pieces get more ppm. */
export const equalScoopsPpm = (cure: CureWeighed): PpmWithBounds[] =>
  sharedPpm(
    cure,
    cure.pieces.map(() => (cure.agentG * keptShare(cure)) / cure.pieces.length),
  )
