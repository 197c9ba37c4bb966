import type { z } from 'zod'
import { PARTIES_SHOWN, type partyChangeInput, type PartyFound, type partyInput, type partyQuery } from '#shared/contracts/store'
import type { Tables } from '../../db/database'
import { contains } from '../../db/schema/where'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer, type WriteContext } from '../context'
import { lockShop } from '../lock-rows'

/** The supplier or customer of that name, added when new; goes before codes are given. */
export async function partyNamed(tables: Tables, kind: 'supplier' | 'customer', name: string): Promise<number> {
  const known = async () => (await tables.parties.one({ kind, name }))?.id
  const before = await known()
  if (before !== undefined) return before
  await lockShop(tables)
  return (await known()) ?? (await tables.parties.insert({ kind, name }))
}

/** Suppliers and customers with a text in their names, by name: as many as are shown, and whether there are more. */
export async function findParties(tables: Tables, { find, kind }: z.output<typeof partyQuery>): Promise<PartyFound> {
  const found = await tables.parties.find(
    { ...(kind ? { kind } : {}), ...(find ? { name: contains(find) } : {}) },
    { order: [['name', 'ASC'], ['id', 'ASC']], limit: PARTIES_SHOWN + 1 },
  )
  return { rows: found.slice(0, PARTIES_SHOWN), more: found.length > PARTIES_SHOWN }
}

export async function addParty(ctx: WriteContext, input: z.output<typeof partyInput>): Promise<Answer<{ id: number }>> {
  await lockShop(ctx.tables)
  if (await ctx.tables.parties.one({ kind: input.kind, name: input.name }))
    return refuse('name_taken', { name: input.name }, ['name'])
  const id = await ctx.tables.parties.insert(input)
  recordEvent(ctx, { kind: 'party_added', subjects: [], typed: input, computed: { id } })
  return { ok: true, value: { id } }
}

/** A supplier's or customer's name and address; what they were called before stays in the book. */
export async function changeParty(
  ctx: WriteContext,
  id: number,
  input: z.output<typeof partyChangeInput>,
): Promise<Answer<object>> {
  const party = await ctx.tables.parties.one({ id }, { lock: true })
  if (!party) return refuse('no_such_party')
  await lockShop(ctx.tables)
  const named = await ctx.tables.parties.one({ kind: party.kind, name: input.name })
  if (named && named.id !== id) return refuse('name_taken', { name: input.name }, ['name'])
  await ctx.tables.parties.update(id, input)
  const { name, contact, approval, note } = party
  recordEvent(ctx, {
    kind: 'party_changed',
    subjects: [],
    typed: input,
    computed: { id, before: { name, contact, approval, note } },
  })
  return { ok: true, value: {} }
}
