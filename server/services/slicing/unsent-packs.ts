import type { UnsentPack } from '#shared/contracts/slicing'
import type { Tables } from '../../db/database'
import type { Answer } from '../context'

/** The packs in the fridge, in the order of their codes. A lot with one is open, so that finished lots are not read. */
export async function unsentPacks(tables: Tables): Promise<Answer<UnsentPack[]>> {
  const open = await tables.lots.pick([], { finishedAtMs: null })
  const lotId = open.map(lot => lot.id)
  const packs = await tables.packs.pick(
    ['code', 'kind', 'netG', 'packedOn'],
    { lotId, dispatchId: null },
    { order: [['id', 'ASC']] },
  )
  return { ok: true, value: packs.map(({ code, kind, netG, packedOn }) => ({ code, kind, netG, packedOn })) }
}
