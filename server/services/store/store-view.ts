import type { CuringAgent } from '#core/cure/agent'
import type { IngredientView, MeatView, StoreView } from '#shared/contracts/store'
import type { RowOf } from '../../db/table'
import type { ingredientLots } from '../../db/tables/store'
import type { Tables } from '../../db/store'

export const agentOf = (lot: RowOf<typeof ingredientLots>): CuringAgent | null => lot.kind !== 'curing_salt'
  ? null
  : {
      nitriteFraction: lot.nitriteFraction, nitriteAs: lot.nitriteAs, nitrateFraction: lot.nitrateFraction,
      saltFraction: lot.saltFraction, labelTolerance: lot.labelTolerance,
    }

const sumBy = <R>(rows: readonly R[], key: (row: R) => number, massG: (row: R) => number): Map<number, number> => {
  const sums = new Map<number, number>()
  for (const row of rows) sums.set(key(row), (sums.get(key(row)) ?? 0) + massG(row))
  return sums
}

/** Everything in the store, newest first, with what has been used of it. */
export async function storeView(tables: Tables): Promise<StoreView> {
  const [meat, ingredients, suppliers, pieces, used] = await Promise.all([
    tables.meatLots.find({}, { order: [['id', 'DESC']] }), tables.ingredientLots.find({}, { order: [['id', 'DESC']] }),
    tables.parties.find({ kind: 'supplier' }), tables.pieces.find(), tables.lotIngredients.find(),
  ])
  const names = new Map(suppliers.map(supplier => [supplier.id, supplier.name]))
  const meatUsed = sumBy(pieces, piece => piece.meatLotId, piece => piece.greenG)
  const ingredientUsed = sumBy(used, row => row.ingredientLotId, row => row.weighedG)
  return {
    meat: meat.map((lot): MeatView => ({
      code: lot.code, supplier: names.get(lot.supplierId)!, supplierLot: lot.supplierLot, cut: lot.cut, rind: lot.rind,
      weightG: lot.weightG, weightTyped: lot.weightTyped, temperatureC: lot.temperatureC, packDate: lot.packDate, note: lot.note,
      receivedAtMs: lot.receivedAtMs, usedG: meatUsed.get(lot.id) ?? 0,
    })),
    ingredients: ingredients.map((lot): IngredientView => ({
      code: lot.code, kind: lot.kind, name: lot.name, supplier: names.get(lot.supplierId)!, supplierLot: lot.supplierLot,
      amountG: lot.amountG, usedG: ingredientUsed.get(lot.id) ?? 0, bestBefore: lot.bestBefore, certificate: lot.certificate,
      agent: agentOf(lot), receivedAtMs: lot.receivedAtMs,
    })),
    suppliers: suppliers.map(supplier => supplier.name).toSorted(),
  }
}
