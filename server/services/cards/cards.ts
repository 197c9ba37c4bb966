import type { Milliseconds } from '#core/units/quantities'
import type { z } from 'zod'
import type { cardInput, CardView } from '#shared/contracts/cards'
import type { RowOf } from '../../db/schema/table-spec'
import type { benchCards } from '../../db/tables/recipes'
import type { Tables } from '../../db/database'
import { nextCode } from '../book/next-code'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer, type WriteContext } from '../context'

/** Keeps the Bench as it is laid out, under a code to print, carry and scan. A card that was rubbed stays as it was. */
export async function layCard(ctx: WriteContext, input: z.output<typeof cardInput>): Promise<Answer<{ code: string }>> {
  const card = input.code === null ? null : await ctx.tables.benchCards.one({ code: input.code }, { lock: true })
  if (input.code !== null && !card) return refuse('no_such_card', { code: input.code })
  if (card && card.lotId !== null) return refuse('card_used', { code: card.code })
  const code = card?.code ?? (await nextCode(ctx.tables, 'card'))
  if (card) await ctx.tables.benchCards.update(card.id, { draft: input.draft, atMs: ctx.nowMs, byId: ctx.actor.id })
  else await ctx.tables.benchCards.insert({ code, draft: input.draft, atMs: ctx.nowMs, byId: ctx.actor.id })
  recordEvent(ctx, { kind: 'card_laid', subjects: [code], typed: input })
  return { ok: true, value: { code } }
}

async function viewOf(tables: Tables, card: RowOf<typeof benchCards>): Promise<CardView> {
  const [by, lot] = await Promise.all([
    tables.users.one({ id: card.byId }),
    card.lotId === null ? null : tables.lots.one({ id: card.lotId }),
  ])
  return { code: card.code, draft: card.draft, atMs: card.atMs, by: by!.initials, lot: lot?.code ?? null }
}

export async function cardView(tables: Tables, code: string): Promise<Answer<CardView>> {
  const card = await tables.benchCards.one({ code })
  return card ? { ok: true, value: await viewOf(tables, card) } : refuse('no_such_card', { code })
}

/** Cards that wait to be rubbed, newest first. */
export async function openCards(tables: Tables): Promise<{ code: string; atMs: Milliseconds }[]> {
  const cards = await tables.benchCards.find({ lotId: null }, { order: [['id', 'DESC']], limit: 50 })
  return cards.map(({ code, atMs }) => ({ code, atMs }))
}
