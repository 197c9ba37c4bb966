import { houseOf } from './house-of'
import type { Notation } from '#core/units/format'
import type { ShopView } from '#shared/contracts/lots'
import type { Tables } from '../../db/database'
import type { Answer, WriteContext } from '../context'

/** The one shop this database serves. Throws before the first visit: routes ask for a signed-in person first. */
export async function theShop(tables: Tables) {
  const shop = await tables.shops.one({})
  if (!shop) throw new Error('no shop yet')
  return shop
}

export async function shopView(tables: Tables): Promise<ShopView> {
  const shop = await theShop(tables)
  const { name, zone, ruleSetId, turnEveryDays, turnBy } = shop
  const { targetPpm, floorPpm, maxPpm, ...words } = houseOf(shop)
  const row = await tables.ruleSets.one({ ruleSetId })
  const confirmed = row?.confirmedBy ? { by: row.confirmedBy, on: row.confirmedOn!, reference: row.reference! } : null
  return {
    name,
    zone,
    houseTargetPpm: targetPpm,
    house: { floorPpm, maxPpm },
    ruleSetId,
    turnEveryDays,
    turnBy,
    confirmed,
    ...words,
  }
}

export async function chooseNotation(ctx: WriteContext, notation: Notation): Promise<Answer<object>> {
  await ctx.tables.users.update(ctx.actor.id, { notation })
  return { ok: true, value: {} }
}
