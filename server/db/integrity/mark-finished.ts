import { INGREDIENT_REST_SHARE, MEAT_REST_SHARE, REST_SHARE } from '#core/rules/house'
import { QueryTypes, type Sequelize, type Transaction } from 'sequelize'

const sum = (what: string, table: string, of: string): string =>
  `(SELECT COALESCE(SUM(${what}), 0) FROM ${table} WHERE ${of} AND ${table}.voided = 0)`
const hold = (how: string): string => `EXISTS (SELECT 1 FROM holds WHERE lot_id = lots.id AND disposition ${how})`
const packs = (more = ''): string => `EXISTS (SELECT 1 FROM packs WHERE lot_id = lots.id AND voided = 0${more})`
const OUT_OF_LOT = `${sum('net_g', 'packs', 'lot_id = lots.id')} + ${sum('mass_g', 'offcuts', 'lot_id = lots.id')}`
const LOOSE = `EXISTS (SELECT 1 FROM meat_pieces p WHERE p.meat_lot_id = meat_lots.id AND p.voided = 0
  AND NOT EXISTS (SELECT 1 FROM cuttings c WHERE c.parent_id = p.id AND c.voided = 0)
  AND NOT EXISTS (SELECT 1 FROM pieces q WHERE q.meat_piece_id = p.id AND q.voided = 0))`
const OUT_OF_MEAT = `${sum('green_g', 'pieces', 'meat_lot_id = meat_lots.id AND meat_piece_id IS NULL')}
  + ${sum('from_g', 'cuttings', 'meat_lot_id = meat_lots.id AND parent_id IS NULL')}`
const ofIngredient = 'ingredient_lot_id = ingredient_lots.id'
const OUT_OF_INGREDIENT = `${sum('weighed_g', 'lot_ingredients', ofIngredient)} + ${sum('mass_g', 'mix_parts', ofIngredient)}
  + ${sum('IF(stock_moves.kind = \'count\', -mass_g, mass_g)', 'stock_moves', ofIngredient)}`
const LAST_SENT = 'SELECT MAX(d.sent_at) FROM packs p JOIN dispatches d ON d.id = p.dispatch_id WHERE p.lot_id = lots.id'

/** What `core/lots/finished.ts` says, for all rows at once. */
const MARKS = [
  `UPDATE lots SET finished_at = COALESCE((${LAST_SENT}), cure_ended_at, rubbed_at)
   WHERE finished_at IS NULL AND (${hold('= \'destroy\' AND piece_ids IS NULL')} OR (${packs()} AND NOT ${packs(' AND dispatch_id IS NULL')}
     AND NOT ${hold('IS NULL')} AND COALESCE(ready_g - (${OUT_OF_LOT}), 0) <= ${REST_SHARE} * COALESCE(ready_g, 0)))`,
  `UPDATE meat_lots SET finished_at = received_at WHERE finished_at IS NULL AND (state IN ('refused', 'destroyed')
     OR (state = 'in' AND NOT ${LOOSE} AND weight_g - (${OUT_OF_MEAT}) <= ${MEAT_REST_SHARE} * weight_g))`,
  `UPDATE ingredient_lots SET finished_at = received_at
   WHERE finished_at IS NULL AND amount_g - (${OUT_OF_INGREDIENT}) <= ${INGREDIENT_REST_SHARE} * amount_g`,
]

/** Marks what is finished in a shop from before there was that mark. A record must seal the rows afterwards. */
export async function markFinished(admin: Sequelize, transaction: Transaction): Promise<void> {
  for (const sql of MARKS) await admin.query(sql, { type: QueryTypes.RAW, transaction })
}
