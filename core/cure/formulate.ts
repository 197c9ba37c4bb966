import { sumOf } from '../lists/sum-of'
import { fail, ok, type Result } from '../result'
import { PPM_PER_UNIT, type Fraction, type Grams, type Ppm } from '../units/quantities'
import { nitriteShare, type CuringAgent } from './agent'
import { isWet, type CureMethod } from './cure-method'
import { carriedBy, planSeasoning, type SeasoningPlanned, type SeasoningWanted } from './seasoning'
import { shareByWeight } from './share-by-weight'
import { toDivision } from './to-division'

export interface Targets {
  saltShare: Fraction
  /** `total` counts the salt that the curing salt and seasonings bring; `added` leaves it out. */
  saltBasis: 'total' | 'added'
  sugarShare: Fraction
  /** Ignored when there is no agent. */
  nitritePpm: Ppm
}

export interface FormulateQuestion {
  /** Left out: a measured dry cure. */
  method?: CureMethod
  /** Green weight of each piece. */
  piecesG: readonly Grams[]
  /** Null: no nitrite. */
  agent: CuringAgent | null
  targets: Targets
  /** The mixing scale's division. */
  readabilityG: Grams
  /** Sugar in what is weighed as sugar: a syrup's, more than 0 to 1. Left out: 1. */
  sugarFraction?: Fraction
  /** All salt and sugar come through the agent (a bulk mix, a nitrite curing salt): none is added beside it. */
  fromAgentOnly?: boolean
  seasonings?: readonly SeasoningWanted[]
  /** Wet cures: the brine's water as a share of green weight, more than 0. */
  waterShare?: Fraction
  /** Wet cure by pick-up: what the meat takes up, as a share of green weight, more than 0. */
  pickUp?: Fraction
}

export interface PieceShare {
  mixG: Grams
  agentG: Grams
  saltG: Grams
  sugarG: Grams
  ownG: Grams
  totalSaltShare: Fraction
}

export interface Formulation {
  greenWeightG: Grams
  /** What to weigh, each rounded to what the scale can show. */
  agentG: Grams
  saltG: Grams
  sugarG: Grams
  seasonings: SeasoningPlanned[]
  /** What is mixed and shared by all pieces; flavourings of some pieces only stay out of it. */
  mixG: Grams
  /** 0 for dry cures; the brine weighs water and mix. */
  waterG: Grams
  /** Both schools, from the weights above, as shares of green weight; of meat and brine together once they are even. */
  totalSaltShare: Fraction
  addedSaltShare: Fraction
  totalSugarShare: Fraction
  pieces: PieceShare[]
}

export type FormulateCode = 'no_pieces' | 'salt_already_exceeded' | 'brine_too_strong'

/** Brine holds no more salt than this, w/w at 15.6 °C. */
export const BRINE_FULL_SHARE: Fraction = 0.26395
const sum = (values: readonly number[]): number => sumOf(values, value => value)

/**
 * The mass over which the targets are counted, before rounding. Dry: green weight. Wet, even: meat and brine. Pick-up:
 * brine, its targets divided by the pick-up. For wet cures the mix is part of that mass, so mass x (1 - shares) = the
 * rest, solved for mass.
 */
function targetMass(
  q: FormulateQuestion,
  greenG: Grams,
  carriedG: Grams,
  spicesG: Grams,
): { massG: Grams; per: number; waterG: Grams } {
  if (!isWet(q.method ?? 'dry')) return { massG: greenG, per: 1, waterG: 0 }
  const waterG = (q.waterShare ?? 1) * greenG
  const per = q.method === 'wet_pick_up' ? 1 / (q.pickUp ?? 1) : 1
  const agent = q.agent ? q.targets.nitritePpm / (PPM_PER_UNIT * nitriteShare(q.agent)) : 0
  const counted = q.targets.saltBasis === 'total' ? 1 : 0
  const mixShare
    = per * (agent * (1 - counted * (q.agent?.saltFraction ?? 0)) + q.targets.saltShare + q.targets.sugarShare)
  const restG = (q.method === 'wet_pick_up' ? 0 : greenG) + waterG + spicesG - counted * carriedG
  return { massG: mixShare < 1 ? restG / (1 - mixShare) : Infinity, per, waterG }
}

/**
 * What to weigh for one lot, by any method, rounded to `readabilityG`; salt is worked out from the rounded curing salt
 * and seasonings, because that is what will be weighed. Fails with `no_pieces`, `salt_already_exceeded` (carriedG, and
 * `by`: what brings most of it) or `brine_too_strong` (salt past saturation). Source: FSIS Directive 7620.3 for
 * nitrite; salt as share of green weight, or of meat and brine together. Exact to the scale's division.
 */
export function formulate(q: FormulateQuestion): Result<Formulation, FormulateCode> {
  const greenWeightG = sum(q.piecesG)
  if (!(greenWeightG > 0)) return fail('no_pieces')
  const round = (massG: Grams) => toDivision(massG, q.readabilityG)
  const seasonings = (q.seasonings ?? []).map(wanted => planSeasoning(wanted, q.piecesG, round))
  const shared = seasonings.filter(s => s.shared)
  const inBath = isWet(q.method ?? 'dry') ? shared : seasonings
  const { massG, per, waterG } = targetMass(
    q,
    greenWeightG,
    carriedBy(inBath, 'saltFraction'),
    sum(inBath.map(s => s.massG)),
  )
  if (!Number.isFinite(massG)) return fail('brine_too_strong', { mostShare: BRINE_FULL_SHARE })

  const agentG = q.agent ? round((per * q.targets.nitritePpm * massG) / (PPM_PER_UNIT * nitriteShare(q.agent))) : 0
  const agentSaltG = agentG * (q.agent?.saltFraction ?? 0)
  const carriedG = agentSaltG + carriedBy(inBath, 'saltFraction')
  const wantedG = per * q.targets.saltShare * massG
  const exactSaltG = q.targets.saltBasis === 'total' ? wantedG - carriedG : wantedG
  if (!q.fromAgentOnly && exactSaltG < -q.readabilityG / 2) {
    const most = inBath.toSorted(
      (a, b) => b.massG * b.composition.saltFraction - a.massG * a.composition.saltFraction,
    )[0]
    const by = most && most.massG * most.composition.saltFraction > agentSaltG ? most.key : 'curing salt'
    return fail('salt_already_exceeded', { carriedG, wantedG, by })
  }
  const saltG = q.fromAgentOnly ? 0 : round(Math.max(0, exactSaltG))
  const sugarCarriedG = agentG * (q.agent?.sugarFraction ?? 0) + carriedBy(inBath, 'sugarFraction')
  const sugarG = q.fromAgentOnly
    ? 0
    : round(Math.max(0, per * q.targets.sugarShare * massG - sugarCarriedG) / (q.sugarFraction ?? 1))
  const mixG = agentG + saltG + sugarG + sum(shared.map(s => s.massG))
  const brineG = waterG + mixG
  if (waterG > 0 && (saltG + carriedG) / brineG > BRINE_FULL_SHARE) return fail('brine_too_strong', { mostShare: BRINE_FULL_SHARE })

  const spreadG
    = q.method === 'wet_equilibrium' ? greenWeightG + brineG : q.method === 'wet_pick_up' ? brineG * per : greenWeightG
  const of = (whole: Grams) => shareByWeight(whole, q.piecesG)
  const [mixes, agents, salts, sugars] = [of(mixG), of(agentG), of(saltG), of(sugarG)]
  const commonSaltShare = (saltG + agentSaltG + carriedBy(shared, 'saltFraction')) / spreadG
  const apart = seasonings.filter(s => !s.shared)
  return ok({
    greenWeightG,
    agentG,
    saltG,
    sugarG,
    seasonings,
    mixG,
    waterG,
    totalSaltShare: (saltG + carriedG) / spreadG,
    addedSaltShare: saltG / spreadG,
    totalSugarShare: (sugarG * (q.sugarFraction ?? 1) + sugarCarriedG) / spreadG,
    pieces: q.piecesG.map((pieceG, i) => ({
      mixG: mixes[i]!,
      agentG: agents[i]!,
      saltG: salts[i]!,
      sugarG: sugars[i]!,
      ownG: sum(apart.map(s => s.perPieceG[i]!)),
      totalSaltShare: commonSaltShare + sum(apart.map(s => s.perPieceG[i]! * s.composition.saltFraction)) / pieceG,
    })),
  })
}
