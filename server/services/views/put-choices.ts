import { localDay } from '#core/calendar/local-day'
import { isPastDate } from '#core/store/past-date'
import type { Milliseconds } from '#core/units/quantities'
import type { PutChoices } from '#shared/contracts/puts'
import { ROLE_OF_KIND } from '#shared/contracts/store'
import type { Tables } from '../../db/database'
import { refuse, type Answer } from '../context'
import { inStock } from './store-view'

import { isRubbed, stillToCome } from '#shared/judging/still-to-come'

/** What of the store may go on a lot, its own first, and what of its plan is still to come. */
export async function putChoices(tables: Tables, code: string, nowMs: Milliseconds): Promise<Answer<PutChoices>> {
  const lot = await tables.lots.one({ code })
  if (!lot) return refuse('no_such_lot', { code })
  const [parts, { ingredients }] = await Promise.all([tables.lotIngredients.find({ lotId: lot.id }), inStock(tables)])
  const used = await tables.ingredientLots.pick(['code'], { id: parts.map(part => part.ingredientLotId) })
  const codes = new Map(used.map(one => [one.id, one.code]))
  const own = parts.filter(isRubbed).flatMap(part => codes.get(part.ingredientLotId) ?? [])
  const today = localDay(nowMs, lot.zone)
  return {
    ok: true,
    value: {
      lots: ingredients
        .filter(one => one.leftG > 0)
        .map(one => ({
          code: one.code,
          name: one.name,
          role: ROLE_OF_KIND[one.kind],
          mayBeByEye: one.kind !== 'curing_salt',
          leftG: one.leftG,
          isPast: isPastDate(one, today),
          allergens: one.allergens,
          isOwn: own.includes(one.code),
        }))
        .toSorted((a, b) => Number(b.isOwn) - Number(a.isOwn) || Number(a.isPast) - Number(b.isPast)),
      toCome: stillToCome(lot, parts),
    },
  }
}
