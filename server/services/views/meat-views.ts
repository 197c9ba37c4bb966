import { atKey } from '#core/lists/at-key'
import { groupBy } from '#core/lists/group-by'
import type { CuttingView, MeatPieceView, MeatView } from '#shared/contracts/store'
import type { Tables } from '../../db/database'
import type { RowOf } from '../../db/schema/table-spec'
import type { meatLots } from '../../db/tables/store'
import { present } from '../../db/schema/where'
import { fileViews } from '../files/keep-file'
import { holdViews } from '../holds/hold-views'
import { loadMarks } from '../instruments/marks'
import { meatSums } from '../store-rows/meat-sums'

type MeatRow = RowOf<typeof meatLots>

/** Deliveries' meat with its tree of pieces and what became of each, in the order of the rows given. */
export async function meatViews(tables: Tables, meat: readonly MeatRow[]): Promise<MeatView[]> {
  const meatLotId = meat.map(lot => lot.id)
  if (meatLotId.length === 0) return []
  const [deliveries, parties, cuttings, meatPieces, pieces, users, holds, sums, markAt] = await Promise.all([
    tables.deliveries.pick(['code', 'document', 'photoId'], { id: meat.flatMap(lot => lot.deliveryId ?? []) }),
    tables.parties.pick(['name'], { id: meat.map(lot => lot.supplierId) }),
    tables.cuttings.find({ meatLotId }, { order: [['id', 'ASC']] }),
    tables.meatPieces.find({ meatLotId }, { order: [['id', 'ASC']] }),
    tables.pieces.pick(['lotId', 'meatPieceId'], { meatLotId, meatPieceId: present }),
    tables.users.find(),
    tables.holds.find({ meatLotId }),
    meatSums(tables, meatLotId),
    loadMarks(tables, Math.min(...meat.map(lot => lot.receivedAtMs))),
  ])
  const [lots, files] = await Promise.all([
    tables.lots.pick(['code'], { id: [...new Set(pieces.map(piece => piece.lotId))] }),
    fileViews(
      tables,
      deliveries.flatMap(delivery => delivery.photoId ?? []),
    ),
  ])
  const lotCode = new Map(lots.map(lot => [lot.id, lot.code]))
  const lotOfPiece = new Map(pieces.map(piece => [piece.meatPieceId!, atKey(lotCode, piece.lotId)]))
  const divided = new Set(cuttings.flatMap(cutting => cutting.parentId ?? []))
  const deliveryOf = new Map(deliveries.map(delivery => [delivery.id, delivery]))
  const names = new Map(parties.map(party => [party.id, party.name]))
  const initials = new Map(users.map(user => [user.id, user.initials]))
  const of = {
    cuttings: groupBy(cuttings, c => c.meatLotId),
    tree: groupBy(meatPieces, p => p.meatLotId),
    holds: groupBy(holds, hold => hold.meatLotId!),
  }
  return meat.map((lot) => {
    const delivery = lot.deliveryId === null ? undefined : deliveryOf.get(lot.deliveryId)
    return {
      code: lot.code,
      delivery: delivery?.code ?? null,
      document: delivery?.document ?? null,
      photo: files.get(delivery?.photoId ?? 0) ?? null,
      supplier: atKey(names, lot.supplierId),
      supplierLot: lot.supplierLot,
      cut: lot.cut,
      rind: lot.rind,
      weightG: lot.weightG,
      weightTyped: lot.weightTyped,
      scale: markAt(lot.scaleId, lot.receivedAtMs),
      temperatureC: lot.temperatureC,
      offsetC: lot.offsetC,
      thermometer: markAt(lot.thermometerId, lot.receivedAtMs),
      packDate: lot.packDate,
      state: lot.state,
      checks: lot.checks,
      note: lot.note,
      receivedAtMs: lot.receivedAtMs,
      usedG: sums.usedG(lot.id),
      cuttings: (of.cuttings.get(lot.id) ?? []).map(
        ({ id, parentId, kind, fromG, trimG, boneG, rindG, unaccountedG, scaleId, note, atMs, byId }): CuttingView => ({
          id,
          parentId,
          kind,
          fromG,
          trimG,
          boneG,
          rindG,
          unaccountedG,
          scale: markAt(scaleId, atMs),
          note,
          atMs,
          by: atKey(initials, byId),
        }),
      ),
      pieces: (of.tree.get(lot.id) ?? []).map(({ id, label, massG, massTyped, cuttingId }): MeatPieceView => ({
        id,
        label,
        massG,
        typed: massTyped,
        cuttingId,
        divided: divided.has(id),
        lot: lotOfPiece.get(id) ?? null,
      })),
      holds: holdViews(of.holds.get(lot.id) ?? [], users),
    }
  })
}
