import type { PlaceInput } from '#shared/contracts/places'
import { nextCode } from '../book/next-code'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer, type Refusal, type WriteContext } from '../context'
import { lockShop } from '../lock-rows'

/** A place's columns as the Office gives them. */
const columnsOf = ({ target, targetRh, ...given }: PlaceInput) => ({
  ...given,
  targetC: target?.tempC ?? null,
  targetRh: targetRh?.rh ?? null,
})

export async function addPlace(ctx: WriteContext, input: PlaceInput): Promise<Answer<{ id: number; code: string }>> {
  const refusal = await refusePlace(ctx, input, null)
  if (refusal) return refusal
  const code = await nextCode(ctx.tables, 'place')
  const id = await ctx.tables.places.insert({ code, ...columnsOf(input) })
  recordEvent(ctx, { kind: 'place_added', subjects: [code], typed: input, computed: { id, code } })
  return { ok: true, value: { id, code } }
}

export async function changePlace(ctx: WriteContext, id: number, input: PlaceInput): Promise<Answer<object>> {
  const place = await ctx.tables.places.one({ id }, { lock: true })
  if (!place) return refuse('no_such_place')
  const refusal = await refusePlace(ctx, input, id)
  if (refusal) return refusal
  if (!input.inUse) {
    const open = await ctx.tables.lots.pick(['code'], { finishedAtMs: null })
    const lotId = open.map(lot => lot.id)
    const [lying] = lotId.length ? await ctx.tables.pieces.pick(['lotId'], { lotId, placeId: id }, { limit: 1 }) : []
    const lot = open.find(one => one.id === lying?.lotId)
    if (lot) return refuse('place_not_empty', { name: place.name, code: lot.code }, ['inUse'])
  }
  await ctx.tables.places.update(id, columnsOf(input))
  const { id: _id, code, ...before } = place
  recordEvent(ctx, { kind: 'place_changed', subjects: code ? [code] : [], typed: input, computed: { id, before } })
  return { ok: true, value: {} }
}

async function refusePlace({ tables }: WriteContext, input: PlaceInput, own: number | null): Promise<Refusal | null> {
  await lockShop(tables)
  const named = await tables.places.one({ name: input.name })
  if (named && named.id !== own) return refuse('name_taken', { name: input.name }, ['name'])
  for (const kind of ['thermometer', 'hygrometer'] as const) {
    const id = input[`${kind}Id`]
    if (id === null || (await tables.instruments.one({ id, kind }))) continue
    return refuse(kind === 'thermometer' ? 'no_such_thermometer' : 'no_such_hygrometer', {}, [`${kind}Id`])
  }
  return null
}
