import type { Ppm } from '#core/units/quantities'
import { agentFault, type Purpose } from '#core/agents/agent-fault'
import type { CuringAgent } from '#core/cure/agent'
import { localDay } from '#core/calendar/local-day'
import type { Tables } from '../../db/database'
import { refuseAt, type Answer } from '../context'
import type { RowOf } from '../../db/schema/table-spec'
import type { ingredientLots } from '../../db/tables/store'
import { agentOf } from '../store-rows/ingredient-views'

type IngredientLot = RowOf<typeof ingredientLots>

/** Day on which a bulk mix was made with seasonings in it; null for anything else. */
export async function spicedOn(tables: Tables, lot: IngredientLot, zone: string): Promise<string | null> {
  if (lot.kind !== 'mix' || (await tables.mixParts.count({ mixLotId: lot.id, role: 'spice' })) === 0) return null
  return localDay(lot.receivedAtMs, zone)
}

/**
 * A lot's agent, if it may be put on this meat by these limits; a refusal says why and what to use. Null when no agent
 * is asked for.
 */
export async function usableAgent(
  tables: Tables,
  lot: IngredientLot | undefined,
  q: { nitrateMaxPpm: Ppm; purpose: Purpose; today: string; jurisdiction: string; zone: string },
): Promise<Answer<CuringAgent | null>> {
  const agent = lot ? agentOf(lot) : null
  if (!lot || !agent) return { ok: true, value: null }
  const fit = agentFault({
    kind: lot.agentKind ?? 'own',
    agent,
    name: `${lot.code} ${lot.name}`,
    certificate: lot.certificate,
    bestBefore: lot.bestBefore,
    today: q.today,
    purpose: q.purpose,
    nitrateMaxPpm: q.nitrateMaxPpm,
    jurisdiction: q.jurisdiction,
    spicedOn: await spicedOn(tables, lot, q.zone),
  })
  return fit.ok ? { ok: true, value: agent } : refuseAt(['agent', 'lotCode'], fit)
}
