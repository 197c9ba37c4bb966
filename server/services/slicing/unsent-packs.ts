import type { UnsentPack } from '#shared/contracts/slicing'
import type { Tables } from '../../db/database'
import type { Answer } from '../context'

/** The packs that are not with a customer, in the order of their codes. A lot with one is open, so that finished lots are not read. */
export async function unsentPacks(tables: Tables): Promise<Answer<UnsentPack[]>> {
  const open = await tables.lots.pick(['code', 'cut'], { finishedAtMs: null })
  const lotOf = new Map(open.map(lot => [lot.id, lot]))
  const lotId = [...lotOf.keys()]
  const packs = await tables.packs.pick(
    ['code', 'kind', 'netG', 'packedOn', 'lotId'],
    { lotId, dispatchId: null },
    { order: [['id', 'ASC']] },
  )
  return {
    ok: true,
    value: packs.map(({ code, kind, netG, packedOn, lotId: of }) => {
      const { code: lot, cut } = lotOf.get(of)!
      return { code, lot, cut, kind, netG, packedOn }
    }),
  }
}
