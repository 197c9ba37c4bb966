import { sumOf } from '../lists/sum-of'
import { propagate, scaleFigure, withinTolerance, type Uncertain } from '../uncertainty/propagate'
import { PPM_PER_UNIT, type Grams, type Ppm } from '../units/quantities'
import { nitriteShare } from './agent'
import { isWet, meaningOf, type PpmMeaning } from './cure-method'
import type { CureWeighed } from './cure-weighed'
import { ppmInterval, type PpmInterval, type ScaleReading } from './ppm-interval'
import { agentsOn, keptShare, loadsOf, putsOf, toleranceOf, type Load } from './puts'
import { shareByWeight } from './share-by-weight'

export interface PpmWithBounds extends PpmInterval {
  ppm: Ppm
}

/** Pieces as one load: their weights and worst cases add up. At least one piece. */
function asOneLoad({ pieces, meatReadabilityG }: CureWeighed, some: readonly number[] | null = null): ScaleReading {
  const here = some === null ? pieces : some.map(i => pieces[i]!)
  const massG = sumOf(here, piece => piece.massG)
  const readings = sumOf(here, piece => piece.readings)
  return { massG, readabilityG: meatReadabilityG, readings }
}

export const meaningOfCure = (cure: CureWeighed): PpmMeaning => meaningOfLoad(cure, (cure.unweighed?.length ?? 0) > 0)
const meaningOfLoad = ({ method, afterG }: CureWeighed, open: boolean): PpmMeaning =>
  open ? 'open' : meaningOf(method ?? 'dry', (afterG ?? null) !== null)

/** What may be an upper bound says nothing about the least: its low end is 0. */
const asMeant = (cure: CureWeighed, got: PpmWithBounds): PpmWithBounds =>
  meaningOfLoad(cure, false) === 'upper_bound' ? { ...got, lowPpm: 0 } : got

/**
 * Brine methods: Handbook (Directive 7620.3), immersion, methods one and two. Inputs: meat, brine, after, and each put
 * with its share.
 */
function bathPpm(cure: CureWeighed): PpmWithBounds {
  const load = asOneLoad(cure)
  const puts = putsOf(cure)
  const brineG = (cure.waterG ?? 0) + sumOf(puts, put => put.mixG)
  const agents: Uncertain[] = puts.flatMap(put => [
    scaleFigure(put.agentG, put.readabilityG, put.agentReadings),
    withinTolerance(nitriteShare(put.agent), toleranceOf(put.agent)),
  ])
  const nitriteG = (x: readonly number[]) => puts.reduce((sum, _, i) => sum + x[2 * i]! * x[2 * i + 1]!, 0)
  const meat = scaleFigure(load.massG, load.readabilityG, load.readings)
  const bath = scaleFigure(brineG, cure.meatReadabilityG)
  const afterG = cure.afterG ?? null
  const pickedUp = afterG === null ? null : scaleFigure(afterG, cure.meatReadabilityG, cure.pieces.length)
  const at = agents.length
  const found
    = cure.method === 'wet_equilibrium'
      ? propagate([...agents, meat, bath], x => (PPM_PER_UNIT * nitriteG(x)) / (x[at]! + x[at + 1]!))
      : pickedUp
        ? propagate(
            [...agents, meat, bath, pickedUp],
            x => (((PPM_PER_UNIT * nitriteG(x)) / x[at + 1]!) * (x[at + 2]! - x[at]!)) / x[at]!,
          )
        : propagate([...agents, bath], x => ((PPM_PER_UNIT * nitriteG(x)) / x[at]!) * (cure.mostPickUp ?? 1))
  return {
    ppm: Math.max(0, found.value),
    lowPpm: Math.max(0, found.low),
    highPpm: found.high,
    expandedPpm: found.expanded,
  }
}

/** Ingoing nitrite of pieces of a dry cure, as one load. */
function dryPpm(cure: CureWeighed, pieces: readonly number[] | null): PpmWithBounds {
  const load = asOneLoad(cure, pieces)
  const agents = agentsOn(cure, pieces)
  const nitriteG = sumOf(agents, agent => agent.massG * agent.share)
  return asMeant(cure, { ppm: (PPM_PER_UNIT * nitriteG) / load.massG, ...ppmInterval(agents, load) })
}

/**
 * Ingoing nitrite of the whole lot with its worst case, ppm as NaNO2. Dry cures by the closed form, wet cures by
 * `propagate`. For an upper bound the low end is 0: what was taken up is not known.
 */
export const lotPpm = (cure: CureWeighed): PpmWithBounds =>
  isWet(cure.method ?? 'dry') ? asMeant(cure, bathPpm(cure)) : dryPpm(cure, null)

/** Pieces on which the same went, and their figure. */
export interface LoadPpm extends Load {
  got: PpmWithBounds
  meaning: PpmMeaning
}
/**
 * The lot's figure; by loads where something went on some pieces alone, each to be judged for itself. In one brine all
 * pieces are as the lot.
 */
export function loadsPpm(cure: CureWeighed): LoadPpm[] {
  if (isWet(cure.method ?? 'dry'))
    return [{ pieces: null, open: meaningOfCure(cure) === 'open', got: lotPpm(cure), meaning: meaningOfCure(cure) }]
  return loadsOf(cure).map(load => ({
    ...load,
    got: dryPpm(cure, load.pieces),
    meaning: meaningOfLoad(cure, load.open),
  }))
}

/**
 * Ingoing nitrite of each piece when the mix is shared by weight: all the same figure, unless something went on some
 * alone, but a light piece rests on a coarser reading, of itself and of its share of the mix. An even mix is presumed. In
 * one brine all pieces are as the lot.
 */
export function piecesPpm(cure: CureWeighed): PpmWithBounds[] {
  if (!isWet(cure.method ?? 'dry')) return cure.pieces.map((_, i) => dryPpm(cure, [i]))
  const whole = lotPpm(cure)
  return cure.pieces.map(() => whole)
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
    const massG = agentSharesG[i]!
    const readabilityG = cure.mixReadabilityG * agentInMix + carriedDivisions[i]!
    return asMeant(cure, {
      ppm: (PPM_PER_UNIT * massG * share) / piece.massG,
      ...ppmInterval(
        [{ massG, readabilityG, readings: 1, share, shareTolerance: toleranceOf(cure.agent) }],
        { massG: piece.massG, readabilityG: cure.meatReadabilityG, readings: piece.readings },
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
