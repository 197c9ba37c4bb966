import { byId } from '#core/lists/by-id'
import { nitriteShare } from '#core/cure/agent'
import { isWet } from '#core/cure/cure-method'
import { asNaNO2 } from '#core/rules/limits'
import { residualBound } from '#core/rules/residual-bound'
import { type Grams, PPM_PER_UNIT } from '#core/units/quantities'
import type { ResidualView } from '#shared/contracts/lots'
import type { RowOf } from '../../db/schema/table-spec'
import type { Tables } from '../../db/database'
import type { lots } from '../../db/tables/lots'
import { RUBBED } from '../../db/tables/which-pieces'
import { theShop } from '../shop/shop-facts'
import type { Part } from './lot-facts'
import { readyOffG } from './ready-off'
import { agentOf } from '../store-rows/ingredient-views'

type LotRow = RowOf<typeof lots>

/**
 * All nitrite that went in at its highest, grams as NaNO2; null where mass balance says nothing: nitrate, or an agent
 * nobody can name.
 */
async function nitriteHighG(tables: Tables, lot: LotRow, parts: readonly Part[], greenG: Grams): Promise<number | null> {
  const agents = await tables.ingredientLots.find({ id: parts.map(part => part.ingredientLotId) }, { withVoided: true })
  if (lot.judgement.lot === null || agents.some(agent => agent.nitrateFraction > 0 || agent.certificate === null))
    return null
  const { lot: got, decides, pieces } = lot.judgement
  // Where pieces differ, as if all were as the highest.
  if (!isWet(lot.method))
    return ((decides ? Math.max(got.highPpm, ...pieces.map(piece => piece.highPpm)) : got.highPpm) * greenG) / PPM_PER_UNIT
  // A bath can give the meat all it holds.
  const lotOf = byId(agents, 'curing salt')
  return parts.reduce((sum, part) => {
    const agent = agentOf(lotOf(part.ingredientLotId))
    return agent
      ? sum
      + (part.weighedG + lot.mixReadabilityG / 2)
      * nitriteShare(agent)
      * (1 + agent.labelTolerance / agent.nitriteFraction)
      : sum
  }, 0)
}

/** What is left in the product: shown by a laboratory, by mass balance, or not yet. Null where no row asks for it. */
export async function residualOf(tables: Tables, lot: LotRow): Promise<ResidualView | null> {
  const rows = lot.judgement.residual
  if (rows.length === 0) return null
  const [parts, greenG, rindG, labs, shop, offG] = await Promise.all([
    tables.lotIngredients.find({ lotId: lot.id, role: 'agent' }),
    tables.pieces.sum('greenG', { lotId: lot.id, ...RUBBED }),
    tables.offcuts.sum('massG', { lotId: lot.id, kind: 'rind', atCut: null }),
    tables.labResults.count({ lotId: lot.id }),
    theShop(tables),
    lot.readyG === null ? 0 : readyOffG(tables, lot),
  ])
  // More went on than anybody weighed, or after the cure: no balance says what is left of it.
  const unbalanced = parts.filter(part => part.unweighed || part.usedFor !== null)
  const highG = unbalanced.length > 0 ? null : await nitriteHighG(tables, lot, parts, greenG)
  const finishedLowG = lot.readyG === null ? null : lot.readyG - rindG - offG
  const maxPpm = rows.some(row => row.maxPpm === null) ? null : Math.min(...rows.map(row => asNaNO2(row, row.maxPpm!)))
  const bound = highG === null ? null : residualBound({ nitriteHighG: highG, greenG, finishedLowG, maxPpm })
  const by = labs > 0 ? 'laboratory' : bound?.proved && !shop.labAlways ? 'mass_balance' : null
  return {
    by,
    maxPpm,
    source: rows[0]!.source,
    boundPpm: bound?.ppm ?? null,
    leastYield: bound?.leastYield ?? null,
    highPpm: highG === null ? null : (PPM_PER_UNIT * highG) / greenG,
    why:
      by !== null
        ? null
        : shop.labAlways
          ? 'lab_always'
          : highG === null
            ? unbalanced.length > 0
              ? 'unweighed'
              : 'nitrate'
            : maxPpm === null
              ? 'no_figure'
              : finishedLowG === null
                ? 'not_finished'
                : 'over',
  }
}
