import type { RowOf } from '../../db/table-spec'
import type { ingredientLots, meatLots } from '../../db/tables/store'
import type { Tables } from '../../db/store'

/** Two scales may differ by this much over a delivery before the meat cannot be the meat. */
export const SCALE_SLACK = 1.02

const sum = <R>(rows: readonly R[], massG: (row: R) => number): number => rows.reduce((total, row) => total + massG(row), 0)

/** What of a delivery is neither in a lot nor on the cutting board. */
export async function meatLeftG(tables: Tables, meat: RowOf<typeof meatLots>): Promise<number> {
  const [direct, cut] = await Promise.all([
    tables.pieces.find({ meatLotId: meat.id, meatPieceId: null }), tables.cuttings.find({ meatLotId: meat.id, parentId: null }),
  ])
  return meat.weightG - sum(direct, piece => piece.greenG) - sum(cut, cutting => cutting.fromG)
}

/** What is left of an ingredient: received, less used, less moved out, set right by counts. */
export async function ingredientLeftG(tables: Tables, lot: RowOf<typeof ingredientLots>): Promise<number> {
  const ofIt = { ingredientLotId: lot.id }
  const [used, mixed, moves] = await Promise.all([tables.lotIngredients.find(ofIt), tables.mixParts.find(ofIt), tables.stockMoves.find(ofIt)])
  return lot.amountG - sum(used, row => row.weighedG) - sum(mixed, row => row.massG) + sum(moves, move => move.kind === 'count' ? move.massG : -move.massG)
}
