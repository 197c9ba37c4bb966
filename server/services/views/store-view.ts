import { atKey } from '#core/lists/at-key'
import { STORE_PAGE, type StorePage, type StoreView } from '#shared/contracts/store'
import type { Tables } from '../../db/database'
import type { RowOf } from '../../db/schema/table-spec'
import type { meatLots } from '../../db/tables/store'
import { below } from '../../db/schema/where'
import { type IngredientRow, ingredientViews } from '../store-rows/ingredient-views'
import { meatViews } from './meat-views'
import { findParties } from '../store/parties'

const NEWEST = [['id', 'DESC']] as const
/**
 * What is open, should a shop never use anything up, stays a list that a page can show; older ones come with the pages.
 * House.
 */
const OPEN_MOST = { meat: 60, ingredients: 200 }

type MeatRow = RowOf<typeof meatLots>
interface Rows {
  meat: MeatRow[]
  ingredients: IngredientRow[]
}

/** What lies in the store and is not used up, newest first. */
async function openRows(tables: Tables): Promise<Rows> {
  const open = { finishedAtMs: null }
  const [meat, ingredients] = await Promise.all([
    tables.meatLots.find(open, { order: NEWEST, limit: OPEN_MOST.meat }),
    tables.ingredientLots.find(open, { order: NEWEST, limit: OPEN_MOST.ingredients }),
  ])
  return { meat, ingredients }
}

export async function inStock(tables: Tables): Promise<Pick<StoreView, 'meat' | 'ingredients'>> {
  const rows = await openRows(tables)
  const [meat, ingredients] = await Promise.all([
    meatViews(tables, rows.meat),
    ingredientViews(tables, rows.ingredients),
  ])
  return { meat, ingredients }
}

// A row more than is shown tells whether there are more.
const PAGE = { order: NEWEST, limit: STORE_PAGE + 1 }

/** A page of what meat came in, newest first, from before a code on, whatever is left of it. */
export async function meatPage(tables: Tables, before: string | undefined): Promise<StorePage['meat']> {
  const [from] = before === undefined ? [] : await tables.meatLots.pick([], { code: before })
  const rows = await tables.meatLots.find(from ? { id: below(from.id) } : {}, PAGE)
  return { rows: await meatViews(tables, rows.slice(0, STORE_PAGE)), more: rows.length > STORE_PAGE }
}

/** The same of ingredients. */
export async function ingredientPage(tables: Tables, before: string | undefined): Promise<StorePage['ingredients']> {
  const [from] = before === undefined ? [] : await tables.ingredientLots.pick([], { code: before })
  const rows = await tables.ingredientLots.find(from ? { id: below(from.id) } : {}, PAGE)
  return { rows: await ingredientViews(tables, rows.slice(0, STORE_PAGE)), more: rows.length > STORE_PAGE }
}

/** The rows of two lists, each once: what lies open is mostly what came in last. */
const once = <R extends { id: number }>(...lists: R[][]): R[] => [
  ...new Map(lists.flat().map(row => [row.id, row])).values(),
]

/** What is in the store, the newest of what came in, and the first of those it comes from and goes to. */
export async function storeView(tables: Tables): Promise<StoreView> {
  const [parties, open, newMeat, newIngredients] = await Promise.all([
    findParties(tables, {}),
    openRows(tables),
    tables.meatLots.find({}, PAGE),
    tables.ingredientLots.find({}, PAGE),
  ])
  const [meat, ingredients] = await Promise.all([
    meatViews(tables, once(open.meat, newMeat.slice(0, STORE_PAGE))),
    ingredientViews(tables, once(open.ingredients, newIngredients.slice(0, STORE_PAGE))),
  ])
  const viewOf = <V extends { code: string }>(views: V[]) => {
    const byCode = new Map(views.map(view => [view.code, view]))
    return (row: { code: string }) => atKey(byCode, row.code)
  }
  const [meatOf, ingredientOf] = [viewOf(meat), viewOf(ingredients)]
  return {
    meat: open.meat.map(meatOf),
    ingredients: open.ingredients.map(ingredientOf),
    newest: {
      meat: { rows: newMeat.slice(0, STORE_PAGE).map(meatOf), more: newMeat.length > STORE_PAGE },
      ingredients: {
        rows: newIngredients.slice(0, STORE_PAGE).map(ingredientOf),
        more: newIngredients.length > STORE_PAGE,
      },
    },
    parties,
  }
}
