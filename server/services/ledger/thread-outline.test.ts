import { beforeAll, describe, expect, it } from 'vitest'
import { slicingInput } from '#shared/contracts/slicing'
import { MemoryShop } from '../../../tests/support/memory/shop'
import { recordEvent } from '../book/record-event'
import { recordSlicing } from '../slicing/record-slicing'
import { threadOutline } from './thread-outline'

let shop: MemoryShop
const lotOf = async (code: string) => (await shop.tables.lots.one({ code }))!
beforeAll(async () => {
  shop = await MemoryShop.open()
})

describe('what a recall of a smoke counts, told in lists', () => {
  it('is every pack of lots that were in it whole', async () => {
    const ids = [(await lotOf('L-0001')).id, (await lotOf('L-0002')).id]
    const { lots, customers, unsent } = await threadOutline(shop.tables, ids, 'S-0001')
    const packs = await shop.tables.packs.find({ lotId: ids })
    expect(lots.reduce((sum, lot) => sum + lot.packs, 0)).toBe(packs.length)
    expect(customers.reduce((sum, one) => sum + one.packs, unsent.packs)).toBe(packs.length)
  })
  it('and of a lot that was in it in part, those from the pieces that were', async () => {
    const lot = await lotOf('L-0003')
    const [smoked, other] = await shop.tables.pieces.find({ lotId: lot.id }, { order: [['number', 'ASC']] })
    const out = await shop.tables.runPieces.one({ pieceId: other!.id })
    const slice = (pieceId: number, packs: string[]) =>
      shop.press(ctx =>
        recordSlicing(
          ctx,
          lot.code,
          slicingInput.parse({
            readyWeight: '2.4 kg',
            pieces: [pieceId],
            all: true,
            packedOn: '2026-06-17',
            unchecked: true,
            packs: packs.map(weight => ({ kind: 'sliced', weight })),
            offcuts: [],
          }),
        ),
      )
    expect((await slice(smoked!.id, ['250', '240'])).ok).toBe(true)
    expect((await slice(other!.id, ['300'])).ok).toBe(true)
    // As if it had never been in the smoke.
    await shop.press(async (ctx) => {
      await ctx.tables.runPieces.setVoid([out!.id])
      recordEvent(ctx, { kind: 'held', subjects: [lot.code], typed: {}, computed: { reason: 'by_hand' } })
      return { ok: true, value: {} }
    })
    const { lots, unsent } = await threadOutline(shop.tables, [lot.id, (await lotOf('L-0001')).id], 'S-0002')
    expect(lots.find(one => one.code === lot.code)).toMatchObject({ packs: 2, massG: 490 })
    expect(unsent).toEqual({ packs: 2, massG: 490 })
    expect((await threadOutline(shop.tables, [lot.id], lot.code)).unsent).toEqual({ packs: 3, massG: 790 })
  })
})
