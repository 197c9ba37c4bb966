import { legalMethod } from '#core/cure/cure-method'
import type { CuringAgent } from '#core/cure/agent'
import { limitsFor } from '#core/rules/limits'
import type { RowOf } from '../../db/schema/table-spec'
import type { lots } from '../../db/tables/lots'
import type { ingredientLots } from '../../db/tables/store'
import type { Tables } from '../../db/database'
import type { Answer } from '../context'
import { ruleSetById, rulesInForce } from '../rules/rule-sets'
import { usableAgent } from './usable-agent'

type Lot = Pick<RowOf<typeof lots>, 'judgement' | 'cut' | 'method' | 'rind' | 'choiceId' | 'purpose' | 'zone'>

/**
 * Whether a curing salt may go on a lot, on a day, by the rules that the lot was judged by; a refusal says why and what to
 * use. Null: it is none.
 */
export async function agentFits(
  tables: Tables,
  lot: Lot,
  used: RowOf<typeof ingredientLots>,
  today: string,
): Promise<Answer<CuringAgent | null>> {
  const rules = (await ruleSetById(tables, lot.judgement.ruleSetId)) ?? (await rulesInForce(tables))
  const { cut, rind, choiceId, purpose, zone } = lot
  const limits = limitsFor({ rules, cut, method: legalMethod(lot.method), rind, choiceId })
  const { jurisdiction } = rules
  return usableAgent(tables, used, { nitrateMaxPpm: limits?.nitrateMaxPpm ?? 0, purpose, today, jurisdiction, zone })
}
