import { sumOf } from '#core/lists/sum-of'
import { STILL_TO_COME_SHARE } from '#core/rules/house'
import type { Grams } from '#core/units/quantities'
import type { MixRole } from '#shared/contracts/store'
import { toComeAfter, type ToCome } from '#shared/judging/lot-question'
import type { RowOf } from '../../db/schema/table-spec'
import type { lots } from '../../db/tables/lots'
import { isRubbed, type Part } from './lot-facts'
import { waitingForSecond } from './second-due'

type Lot = Pick<RowOf<typeof lots>, 'method' | 'firstShare' | 'cureEndedAtMs'>

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
