import type { Grams } from '../../units/quantities'
import type { Against } from './against'
import type { FryVerdict } from './fry-test'
import type { Surface } from './look'

/**
 * What of a step's figures its plan goes by: a soak that was tasted, the surface that was felt, the weight it hangs at.
 */
export interface PlanSays extends Against {
  /** The way, of what has several. */
  how?: string
  rinses?: number | null
  verdict?: FryVerdict
  surface?: Surface
  /** Weighed: what lay on the scale, grams. */
  netG?: Grams
  /** Set to. */
  percent?: number
  /** A heat that aimed for more than a cold smoke. */
  hot?: boolean
}
