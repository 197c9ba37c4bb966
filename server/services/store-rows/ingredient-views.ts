import { atKey } from '#core/lists/at-key'
import { localDay } from '#core/calendar/local-day'
import type { CuringAgent } from '#core/cure/agent'
import { groupBy } from '#core/lists/group-by'
import { ROLE_OF_KIND, type IngredientView } from '#shared/contracts/store'
import type { RowOf } from '../../db/schema/table-spec'
import type { ingredientLots } from '../../db/tables/store'
import type { Tables } from '../../db/database'
import { fileViews } from '../files/keep-file'
import { theShop } from '../shop/shop-facts'
import { ingredientSums } from './ingredient-sums'

/** What an ingredient lot is as a curing agent: curing salt or a bulk mix; null for the rest. */
export const agentOf = (lot: RowOf<typeof ingredientLots>): CuringAgent | null =>
  ROLE_OF_KIND[lot.kind] !== 'agent'
    ? null
    : {
        nitriteFraction: lot.nitriteFraction,
        nitriteAs: lot.nitriteAs,
        nitrateFraction: lot.nitrateFraction,
        nitrateAs: lot.nitrateAs,
        saltFraction: lot.saltFraction,
        sugarFraction: lot.sugarFraction,
        labelTolerance: lot.labelTolerance,
      }

export type IngredientRow = RowOf<typeof ingredientLots>

/** Ingredient lots with what has been used of them, in the order of the rows given. */
export async function ingredientViews(tables: Tables, rows: readonly IngredientRow[]): Promise<IngredientView[]> {
  if (rows.length === 0) return []
  const mixes = rows.filter(lot => lot.kind === 'mix').map(lot => lot.id)
  const [sums, parts, files, suppliers, shop] = await Promise.all([
    ingredientSums(
      tables,
      rows.map(lot => lot.id),
    ),
    mixes.length ? tables.mixParts.find({ mixLotId: mixes }) : [],
    fileViews(
      tables,
      rows.flatMap(lot => lot.certificateFileId ?? []),
    ),
    tables.parties.pick(['name'], { id: rows.map(lot => lot.supplierId) }),
    theShop(tables),
  ])
  const named = new Map(
    (parts.length
      ? await tables.ingredientLots.pick(['code', 'name'], { id: parts.map(part => part.ingredientLotId) })
      : []
    ).map(lot => [lot.id, lot]),
  )
  const names = new Map(suppliers.map(party => [party.id, party.name]))
  const partsOf = groupBy(parts, part => part.mixLotId)
  return rows.map((lot) => {
    const mine = partsOf.get(lot.id) ?? []
    return {
      code: lot.code,
      kind: lot.kind,
      name: lot.name,
      supplier: atKey(names, lot.supplierId),
      supplierLot: lot.supplierLot,
      amountG: lot.amountG,
      usedG: sums.usedG(lot.id),
      leftG: lot.amountG - sums.outG(lot.id),
      bestBefore: lot.bestBefore,
      certificate: lot.certificate,
      certificateFile: files.get(lot.certificateFileId ?? 0) ?? null,
      agent: agentOf(lot),
      openedAtMs: lot.openedAtMs,
      receivedAtMs: lot.receivedAtMs,
      agentKind: lot.agentKind,
      composition: {
        saltFraction: lot.saltFraction,
        sugarFraction: lot.sugarFraction,
        waterFraction: lot.waterFraction,
      },
      allergens: lot.allergens ?? [],
      iodised: lot.iodised,
      parts: mine.map(part => ({
        code: atKey(named, part.ingredientLotId).code,
        name: atKey(named, part.ingredientLotId).name,
        massG: part.massG,
      })),
      spicedOn: mine.some(part => part.role === 'spice') ? localDay(lot.receivedAtMs, shop.zone) : null,
    }
  })
}
