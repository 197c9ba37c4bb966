import { localDay } from '#core/calendar/local-day'
import type { CuringAgent } from '#core/cure/agent'
import { ROLE_OF_KIND, type IngredientView, type StoreView } from '#shared/contracts/store'
import type { RowOf } from '../../db/table-spec'
import type { ingredientLots } from '../../db/tables/store'
import type { Tables } from '../../db/store'
import { fileViews } from '../files/keep-file'
import { loadMarks } from '../instruments/marks'
import { theShop } from '../office/office'
import { meatViews } from './meat-views'

/** What an ingredient lot is as a curing agent: curing salt or a bulk mix; null for the rest. */
export const agentOf = (lot: RowOf<typeof ingredientLots>): CuringAgent | null => ROLE_OF_KIND[lot.kind] !== 'agent'
  ? null
  : {
      nitriteFraction: lot.nitriteFraction, nitriteAs: lot.nitriteAs, nitrateFraction: lot.nitrateFraction,
      nitrateAs: lot.nitrateAs, saltFraction: lot.saltFraction, sugarFraction: lot.sugarFraction, labelTolerance: lot.labelTolerance,
    }

const sumBy = <R>(rows: readonly R[], key: (row: R) => number, massG: (row: R) => number): Map<number, number> => {
  const sums = new Map<number, number>()
  for (const row of rows) sums.set(key(row), (sums.get(key(row)) ?? 0) + massG(row))
  return sums
}

async function ingredientViews(tables: Tables, names: ReadonlyMap<number, string>, zone: string): Promise<IngredientView[]> {
  const [ingredients, used, moves, mixed] = await Promise.all([
    tables.ingredientLots.find({}, { order: [['id', 'DESC']] }), tables.lotIngredients.find(), tables.stockMoves.find(), tables.mixParts.find(),
  ])
  const files = await fileViews(tables, ingredients.flatMap(lot => lot.certificateFileId ?? []))
  const byId = new Map(ingredients.map(lot => [lot.id, lot]))
  const usedG = sumBy([...used.map(row => ({ ...row, massG: row.weighedG })), ...mixed], row => row.ingredientLotId, row => row.massG)
  const movedG = sumBy(moves, move => move.ingredientLotId, move => move.kind === 'count' ? -move.massG : move.massG)
  return ingredients.map(lot => ({
    code: lot.code, kind: lot.kind, name: lot.name, supplier: names.get(lot.supplierId)!, supplierLot: lot.supplierLot,
    amountG: lot.amountG, usedG: usedG.get(lot.id) ?? 0, leftG: lot.amountG - (usedG.get(lot.id) ?? 0) - (movedG.get(lot.id) ?? 0),
    bestBefore: lot.bestBefore, certificate: lot.certificate, certificateFile: files.get(lot.certificateFileId ?? 0) ?? null,
    agent: agentOf(lot), openedAtMs: lot.openedAtMs, receivedAtMs: lot.receivedAtMs,
    agentKind: lot.agentKind, composition: { saltFraction: lot.saltFraction, sugarFraction: lot.sugarFraction, waterFraction: lot.waterFraction }, allergens: lot.allergens ?? [], iodised: lot.iodised,
    parts: mixed.filter(part => part.mixLotId === lot.id).map(part => ({ code: byId.get(part.ingredientLotId)!.code, name: byId.get(part.ingredientLotId)!.name, massG: part.massG })),
    spicedOn: mixed.some(part => part.mixLotId === lot.id && part.role === 'spice') ? localDay(lot.receivedAtMs, zone) : null,
  }))
}

/** Everything in the store, newest first, with what has been used of it, and who it comes from and goes to. */
export async function storeView(tables: Tables): Promise<StoreView> {
  const [parties, markAt, shop] = await Promise.all([tables.parties.find({}, { order: [['name', 'ASC']] }), loadMarks(tables), theShop(tables)])
  const [meat, ingredients] = await Promise.all([meatViews(tables, markAt), ingredientViews(tables, new Map(parties.map(party => [party.id, party.name])), shop.zone)])
  return { meat, ingredients, parties, suppliers: parties.filter(party => party.kind === 'supplier').map(party => party.name) }
}
