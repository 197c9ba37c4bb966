import type { CuttingView, MeatPieceView, MeatView } from '#shared/contracts/store'
import type { Tables } from '../../db/store'
import { fileViews } from '../files/keep-file'
import { holdViews } from '../holds/hold-views'
import type { MarkAt } from '../instruments/marks'

const groupBy = <R>(rows: readonly R[], key: (row: R) => number): Map<number, R[]> => {
  const groups = new Map<number, R[]>()
  for (const row of rows) groups.set(key(row), [...groups.get(key(row)) ?? [], row])
  return groups
}

/** Every delivery's meat, newest first, with its tree of pieces and what became of each. */
export async function meatViews(tables: Tables, markAt: MarkAt): Promise<MeatView[]> {
  const [meat, deliveries, parties, cuttings, meatPieces, pieces, users, holds] = await Promise.all([
    tables.meatLots.find({}, { order: [['id', 'DESC']] }), tables.deliveries.find(), tables.parties.find({ kind: 'supplier' }), tables.cuttings.find({}, { order: [['id', 'ASC']] }),
    tables.meatPieces.find({}, { order: [['id', 'ASC']] }), tables.pieces.find(), tables.users.find(), tables.holds.find({ lotId: null }),
  ])
  const [lots, files] = await Promise.all([
    tables.lots.find({ id: [...new Set(pieces.filter(piece => piece.meatPieceId !== null).map(piece => piece.lotId))] }),
    fileViews(tables, deliveries.flatMap(delivery => delivery.photoId ?? [])),
  ])
  const lotCode = new Map(lots.map(lot => [lot.id, lot.code]))
  const lotOfPiece = new Map(pieces.filter(piece => piece.meatPieceId !== null).map(piece => [piece.meatPieceId!, lotCode.get(piece.lotId)!]))
  const divided = new Set(cuttings.flatMap(cutting => cutting.parentId ?? []))
  const deliveryOf = new Map(deliveries.map(delivery => [delivery.id, delivery]))
  const names = new Map(parties.map(party => [party.id, party.name]))
  const initials = new Map(users.map(user => [user.id, user.initials]))
  const of = { cuttings: groupBy(cuttings, c => c.meatLotId), tree: groupBy(meatPieces, p => p.meatLotId), pieces: groupBy(pieces, p => p.meatLotId) }
  const heldMeat = groupBy(holds, hold => hold.meatLotId!)
  return meat.map((lot) => {
    const delivery = lot.deliveryId === null ? undefined : deliveryOf.get(lot.deliveryId)
    const mine = of.cuttings.get(lot.id) ?? []
    const directG = (of.pieces.get(lot.id) ?? []).filter(piece => piece.meatPieceId === null).reduce((sum, piece) => sum + piece.greenG, 0)
    return {
      code: lot.code, delivery: delivery?.code ?? null, document: delivery?.document ?? null, photo: files.get(delivery?.photoId ?? 0) ?? null,
      supplier: names.get(lot.supplierId)!, supplierLot: lot.supplierLot, cut: lot.cut, rind: lot.rind,
      weightG: lot.weightG, weightTyped: lot.weightTyped, scale: markAt(lot.scaleId, lot.receivedAtMs),
      temperatureC: lot.temperatureC, offsetC: lot.offsetC, thermometer: markAt(lot.thermometerId, lot.receivedAtMs),
      packDate: lot.packDate, state: lot.state, checks: lot.checks, note: lot.note, receivedAtMs: lot.receivedAtMs,
      usedG: directG + mine.filter(cutting => cutting.parentId === null).reduce((sum, cutting) => sum + cutting.fromG, 0),
      cuttings: mine.map(({ id, parentId, kind, fromG, trimG, boneG, rindG, unaccountedG, scaleId, note, atMs, byId }): CuttingView =>
        ({ id, parentId, kind, fromG, trimG, boneG, rindG, unaccountedG, scale: markAt(scaleId, atMs), note, atMs, by: initials.get(byId)! })),
      pieces: (of.tree.get(lot.id) ?? []).map(({ id, label, massG, massTyped, cuttingId }): MeatPieceView =>
        ({ id, label, massG, typed: massTyped, cuttingId, divided: divided.has(id), lot: lotOfPiece.get(id) ?? null })),
      holds: holdViews(heldMeat.get(lot.id) ?? [], users),
    }
  })
}
