import { localDay } from '#core/calendar/local-day'
import type { CuringAgent } from '#core/cure/agent'
import { ROLE_OF_KIND, STORE_PAGE, type IngredientView, type StorePage, type StoreView } from '#shared/contracts/store'
import { groupBy } from '#core/lists/group-by'
import type { RowOf } from '../../db/table-spec'
import type { ingredientLots } from '../../db/tables/store'
import type { Tables } from '../../db/database'
import { below } from '../../db/where'
import { fileViews } from '../files/keep-file'
import { theShop } from '../office/office'
import { ingredientSums } from './ingredient-sums'
import { meatViews } from './meat-views'

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

type IngredientRow = RowOf<typeof ingredientLots>

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
      supplier: names.get(lot.supplierId)!,
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
        code: named.get(part.ingredientLotId)!.code,
        name: named.get(part.ingredientLotId)!.name,
        massG: part.massG,
      })),
      spicedOn: mine.some(part => part.role === 'spice') ? localDay(lot.receivedAtMs, shop.zone) : null,
    }
  })
}

const NEWEST = [['id', 'DESC']] as const
/**
 * What is open, should a shop never use anything up, stays a list that a page can show; older ones come with the pages.
 * House.
 */
const OPEN_MOST = { meat: 60, ingredients: 200 }

/** What lies in the store and is not used up, newest first. */
export async function inStock(tables: Tables): Promise<Pick<StoreView, 'meat' | 'ingredients'>> {
  const open = { finishedAtMs: null }
  const [meat, ingredients] = await Promise.all([
    tables.meatLots.find(open, { order: NEWEST, limit: OPEN_MOST.meat }),
    tables.ingredientLots.find(open, { order: NEWEST, limit: OPEN_MOST.ingredients }),
  ])
  const [meatList, ingredientList] = await Promise.all([meatViews(tables, meat), ingredientViews(tables, ingredients)])
  return { meat: meatList, ingredients: ingredientList }
}

/** A page of what came in, newest first, from before a code on, whatever is left of it. */
export async function cameIn<K extends 'meat' | 'ingredients'>(
  tables: Tables,
  what: K,
  before: string | undefined,
): Promise<StorePage[K]> {
  const [from]
    = before === undefined
      ? []
      : await (what === 'meat'
          ? tables.meatLots.pick([], { code: before })
          : tables.ingredientLots.pick([], { code: before }))
  const where = from ? { id: below(from.id) } : {}
  // One more than is shown tells whether there are more.
  const options = { order: NEWEST, limit: STORE_PAGE + 1 }
  if (what === 'meat') {
    const rows = await tables.meatLots.find(where, options)
    return { rows: await meatViews(tables, rows.slice(0, STORE_PAGE)), more: rows.length > STORE_PAGE } as StorePage[K]
  }
  const rows = await tables.ingredientLots.find(where, options)
  return {
    rows: await ingredientViews(tables, rows.slice(0, STORE_PAGE)),
    more: rows.length > STORE_PAGE,
  } as StorePage[K]
}

/** What is in the store, the newest of what came in, and who it comes from and goes to. */
export async function storeView(tables: Tables): Promise<StoreView> {
  const [parties, open, meat, ingredients] = await Promise.all([
    tables.parties.find({}, { order: [['name', 'ASC']] }),
    inStock(tables),
    cameIn(tables, 'meat', undefined),
    cameIn(tables, 'ingredients', undefined),
  ])
  return {
    ...open,
    newest: { meat, ingredients },
    parties,
    suppliers: parties.filter(party => party.kind === 'supplier').map(party => party.name),
  }
}
