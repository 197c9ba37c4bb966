import { sumOf } from '#core/lists/sum-of'
import { STILL_TO_COME_SHARE } from '#core/rules/house'
import type { CureMethod } from '#core/cure/cure-method'
import { waitingForSecond } from '#core/lots/second-due'
import type { Fraction, Grams, Milliseconds } from '#core/units/quantities'
import type { MixRole } from '../contracts/store'
import { toComeAfter, type ToCome } from './lot-question'

interface Lot {
  method: CureMethod
  /** The share of the mix that went on first; null: all of it. */
  firstShare: Fraction | null
  cureEndedAtMs: Milliseconds | null
}
/** What went on: with which application, as what, planned and weighed. `usedFor`: not the cure, but flavour. */
interface Part {
  application: number
  usedFor: string | null
  role: MixRole
  plannedG: Grams
  weighedG: Grams
}
/** True when it went on with the rub. */
export const isRubbed = ({ application, usedFor }: Pick<Part, 'application' | 'usedFor'>): boolean =>
  application === 1 && usedFor === null

/** What of the plan's mix is still to go on, counted as planned; null: nothing, or the cure is over. */
export function stillToCome(lot: Lot, parts: readonly Part[]): ToCome | null {
  if (lot.firstShare === null || lot.cureEndedAtMs !== null) return null
  const planned = (role: MixRole): Grams =>
    sumOf(parts.filter(part => part.role === role && isRubbed(part)), part => part.plannedG) / lot.firstShare!
  const rest = toComeAfter({ agentG: planned('agent'), saltG: planned('salt'), sugarG: planned('sugar') }, lot.firstShare)
  if (!rest) return null
  if (lot.method === 'two_applications') return waitingForSecond(lot, parts) ? rest : null
  const added = (role: MixRole): Grams =>
    sumOf(parts.filter(part => part.role === role && !isRubbed(part) && part.usedFor === null), part => part.weighedG)
  const left = (role: MixRole, wholeG: Grams): Grams => Math.max(0, wholeG - added(role))
  const agentG = left('agent', rest.agentG)
  const saltG = left('salt', rest.saltG)
  // Scales and spoons leave a little; that is not waited for.
  const isOpen = agentG > rest.agentG * STILL_TO_COME_SHARE || saltG > rest.saltG * STILL_TO_COME_SHARE
  return isOpen ? { agentG, saltG, sugarG: left('sugar', rest.sugarG) } : null
}
