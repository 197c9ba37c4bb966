import { atKey } from '#core/lists/at-key'
import type { UnsentPack } from '#shared/contracts/slicing'
import type { Tables } from '../../db/database'
import { treesOf } from '../../db/tables/which-pieces'
import type { Answer } from '../context'
import { lostPacks } from './lost-packs'

/**
 * The packs that are not with a customer and were not destroyed, in the order of their codes.
 * A lot with one is open, so that finished lots are not read.
 */
export async function unsentPacks(tables: Tables): Promise<Answer<UnsentPack[]>> {
  const lots = await tables.lots.pick(['code', 'cut'], { finishedAtMs: null })
  const lotOf = new Map(lots.map(lot => [lot.id, lot]))
  const lotId = [...lotOf.keys()]
  const packs = await tables.packs.pick(
    ['code', 'kind', 'netG', 'packedOn', 'lotId'],
    { lotId, dispatchId: null },
    { order: [['id', 'ASC']] },
  )
  const holds = await tables.holds.pick(['lotId', 'disposition', 'pieceIds'], { lotId, disposition: 'destroy' })
  const gone = holds.length === 0 ? [] : await tables.pieces.pick(['lotId', 'parentId'], { lotId: holds.map(hold => hold.lotId!) })
  const lost = new Set([...(await lostPacks(tables, lotId, holds, treesOf(gone))).values()].flat())
  const open = await tables.packReturns.pick(['packId'], { lotId, disposition: null })
  const back = new Set(open.map(one => one.packId))
  return {
    ok: true,
    value: packs.filter(pack => !lost.has(pack.id)).map(({ id, code, kind, netG, packedOn, lotId: of }) => {
      const { code: lot, cut } = atKey(lotOf, of)
      return { code, lot, cut, kind, netG, packedOn, cameBack: back.has(id) }
    }),
  }
}
