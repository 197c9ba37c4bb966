import { atKey } from '#core/lists/at-key'
import { sumOf } from '#core/lists/sum-of'
import { TWO_SCALES_SHARE } from '#core/rules/house'
import type { RubInput } from '#shared/contracts/rub'
import type { RowOf } from '../../db/schema/table-spec'
import type { meatLots } from '../../db/tables/store'
import type { Tables } from '../../db/database'
import { refuse, type Answer } from '../context'
import { meatLeftG } from '../store-rows/stock'

export type MeatByCode = Map<string, RowOf<typeof meatLots>>

/** The meat of each piece: it exists, is the cut that the lot says, and there is enough of it. */
export async function findMeat(tables: Tables, input: RubInput): Promise<Answer<MeatByCode>> {
  const codes = [...new Set(input.pieces.map(piece => piece.meatCode))]
  // Locked, so that two benches cannot both take the last of a delivery.
  const found = await tables.meatLots.find({ code: codes }, { lock: true, order: [['id', 'ASC']] })
  const byCode: MeatByCode = new Map(found.map(meat => [meat.code, meat]))
  for (const [i, piece] of input.pieces.entries()) {
    const meat = byCode.get(piece.meatCode)
    const path = ['pieces', i, 'meatCode']
    if (!meat) return refuse('no_such_meat', { code: piece.meatCode }, path)
    if (meat.state !== 'in') return refuse('meat_not_in', { code: meat.code, state: meat.state }, path)
    if (meat.cut !== input.cut) return refuse('cut_mismatch', { code: meat.code, cut: meat.cut }, path)
    if (input.rind === 'on' && meat.rind === 'off') return refuse('rind_mismatch', { code: meat.code }, path)
  }
  for (const meat of found) {
    const leftG = await meatLeftG(tables, meat)
    const wantedG = sumOf(input.pieces
      .filter(piece => piece.meatCode === meat.code && piece.meatPieceId === null), piece => piece.weight.netG)
    if (wantedG > leftG + meat.weightG * TWO_SCALES_SHARE) {
      return refuse('meat_used_up', { code: meat.code, leftG: Math.max(0, leftG), wantedG }, ['pieces'])
    }
  }
  const gone = await refuseCutPieces(tables, input, byCode)
  return gone ?? { ok: true, value: byCode }
}

/**
 * Pieces cut in the Store: of the meat they are said to be, whole, free, used once, and no heavier than they were cut.
 */
async function refuseCutPieces(tables: Tables, input: RubInput, byCode: MeatByCode) {
  const ids = input.pieces.flatMap(piece => piece.meatPieceId ?? [])
  if (ids.length === 0) return null
  const [known, used, divided] = await Promise.all([
    tables.meatPieces.find({ id: ids }, { lock: true }),
    tables.pieces.find({ meatPieceId: ids }),
    tables.cuttings.find({ parentId: ids }),
  ])
  const gone = new Set([...used.map(piece => piece.meatPieceId), ...divided.map(cutting => cutting.parentId)])
  for (const [i, piece] of input.pieces.entries()) {
    if (piece.meatPieceId === null) continue
    const path = ['pieces', i, 'meatPieceId']
    const cut = known.find(one => one.id === piece.meatPieceId && one.meatLotId === atKey(byCode, piece.meatCode).id)
    if (!cut) return refuse('no_such_piece', {}, path)
    if (gone.has(cut.id) || ids.indexOf(cut.id) !== ids.lastIndexOf(cut.id))
      return refuse('piece_gone', { label: cut.label }, path)
    if (piece.weight.netG > cut.massG * (1 + TWO_SCALES_SHARE))
      return refuse('piece_heavier', { label: cut.label, cutG: cut.massG, wantedG: piece.weight.netG }, [
        'pieces',
        i,
        'weight',
      ])
  }
  return null
}
