import type { Fraction, Grams } from '../units/quantities'
import type { CuringAgent } from './agent'
import type { CureMethod } from './cure-method'

export interface PieceWeighed {
  massG: Grams
  readings: 1 | 2
}

/** Curing salt, or a mix with it, as it was weighed and put on. */
export interface PutWeighed {
  agent: CuringAgent
  agentG: Grams
  /** How often it was weighed to come to that. */
  agentReadings: number
  /** All that was mixed with it and shared out on the mixing scale, piece by piece. */
  mixG: Grams
  readabilityG: Grams
  /** Places in the lot's list of pieces, from 0; null: shared over all by weight. */
  pieces: readonly number[] | null
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
  /** What went on after the rub: a second application, a face salted again. */
  adds?: readonly PutWeighed[]
  /** Places of pieces on which nitrite went that nobody weighed. Left out: none. */
  unweighed?: readonly number[]
}
