import type { Grams } from '#core/units/quantities'
import type { Allergen } from './allergens'
import type { MixRole } from './store'

/** Something of the store that may go on a lot after its rub. */
export interface PutChoice {
  code: string
  name: string
  role: MixRole
  /** True when it may be told without a weight. */
  mayBeByEye: boolean
  leftG: Grams
  isPast: boolean
  allergens: Allergen[]
  /** The lot was rubbed with it. */
  isOwn: boolean
}
export interface PutChoices {
  lots: PutChoice[]
  /** What of the plan's mix is still to go on; null: nothing. */
  toCome: { agentG: Grams; saltG: Grams; sugarG: Grams } | null
}
