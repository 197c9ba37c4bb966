import type { RowOf } from '../../db/schema/table-spec'
import type { ingredientLots, meatLots } from '../../db/tables/store'
import type { Tables } from '../../db/database'
import { ingredientSums } from './ingredient-sums'
import { meatSums } from './meat-sums'

/** What of a delivery is neither in a lot nor on the cutting board. */
export async function meatLeftG(tables: Tables, meat: RowOf<typeof meatLots>): Promise<number> {
  return meat.weightG - (await meatSums(tables, [meat.id])).usedG(meat.id)
}

/** What is left of an ingredient: received, less used, less moved out, set right by counts. */
export async function ingredientLeftG(tables: Tables, lot: RowOf<typeof ingredientLots>): Promise<number> {
  return lot.amountG - (await ingredientSums(tables, [lot.id])).outG(lot.id)
}
