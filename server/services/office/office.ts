import type { z } from 'zod'
import type { Notation } from '#core/units/format'
import type { rulesConfirmationInput } from '#shared/contracts/people'
import type { ShopView } from '#shared/contracts/lots'
import type { Tables } from '../../db/store'
import { recordEvent } from '../book/record-event'
import type { Answer, WriteContext } from '../context'

/** The one shop this database serves. Throws before the first visit: routes ask for a signed-in person first. */
export async function theShop(tables: Tables) {
  const shop = await tables.shops.one({})
  if (!shop) throw new Error('no shop yet')
  return shop
}

export async function shopView(tables: Tables): Promise<ShopView> {
  const shop = await theShop(tables)
  const { name, zone, houseTargetPpm, turnEveryDays, turnBy } = shop
  const confirmed = shop.rulesConfirmedBy === null
    ? null
    : { by: shop.rulesConfirmedBy, on: shop.rulesConfirmedOn!, reference: shop.rulesReference! }
  return { name, zone, houseTargetPpm, turnEveryDays, turnBy, confirmed }
}

/** The owner has compared the rule set with the authority's current text. */
export async function confirmRules(ctx: WriteContext, input: z.output<typeof rulesConfirmationInput>): Promise<Answer<object>> {
  const shop = await theShop(ctx.tables)
  await ctx.tables.shops.update(shop.id, {
    rulesConfirmedBy: input.confirmedBy, rulesConfirmedOn: input.confirmedOn, rulesReference: input.reference,
  })
  recordEvent(ctx, { kind: 'rules_confirmed', subjects: [], typed: input, computed: { ruleSetId: shop.ruleSetId } })
  return { ok: true, value: {} }
}

export async function chooseNotation(ctx: WriteContext, notation: Notation): Promise<Answer<object>> {
  await ctx.tables.users.update(ctx.actor.id, { notation })
  return { ok: true, value: {} }
}
