import type { Milliseconds } from '#core/units/quantities'
import { groupBy } from '#core/lists/group-by'
import { destroysLot, isUndecided } from '#core/lots/stops-lot'
import { isFinishedIngredient, isFinishedLot, isFinishedMeat } from '#core/lots/finished'
import type { Tables } from '../../db/database'
import { treesOf } from '../../db/tables/which-pieces'
import { lostPacks } from '../store-rows/lost-packs'
import { ingredientSums } from '../store-rows/ingredient-sums'
import { meatSums } from '../store-rows/meat-sums'

/** Tables whose rows say what they belong to, by the column that says it. */
const OF_LOT = ['packs', 'packReturns', 'offcuts', 'holds'] as const
const OF_MEAT = ['pieces', 'cuttings', 'meatPieces', 'holds'] as const
const OF_INGREDIENT = ['lotIngredients', 'stockMoves', 'mixParts'] as const

/** Ids that rows written in this transaction point to, voided ones too. */
async function owners<K extends 'lotId' | 'meatLotId' | 'ingredientLotId'>(
  tables: Tables,
  names: readonly (keyof Tables & string)[],
  column: K,
): Promise<number[]> {
  const found = await Promise.all(
    names.map(async (name) => {
      const id = tables.book.touchedIds(name)
      if (id.length === 0) return []
      const table = tables[name] as unknown as {
        pick: (columns: readonly K[], where: object, options: object) => Promise<Record<K, number | null>[]>
      }
      return (await table.pick([column], { id }, { withVoided: true })).flatMap(row => row[column] ?? [])
    }),
  )
  return found.flat()
}

/** Marks rows finished, or open again; what stands right already is left alone. */
async function mark<R extends { id: number; finishedAtMs: Milliseconds | null }>(
  table: { update: (id: number, change: { finishedAtMs: Milliseconds | null }) => Promise<void> },
  rows: readonly R[],
  nowMs: Milliseconds,
  isFinished: (row: R) => boolean,
): Promise<void> {
  for (const row of rows) {
    const finished = isFinished(row)
    if (finished !== (row.finishedAtMs !== null)) await table.update(row.id, { finishedAtMs: finished ? nowMs : null })
  }
}

async function settleLots(tables: Tables, nowMs: Milliseconds): Promise<void> {
  const gone = [...tables.book.mayEnd]
  tables.book.mayEnd.clear()
  const id = [
    ...new Set([
      ...tables.book.touchedIds('lots'),
      ...gone,
      ...(await owners(tables, OF_LOT, 'lotId')),
    ]),
  ]
  if (id.length === 0) return
  // Locked, and so what others have just written to them is seen as well.
  const found = await tables.lots.pick(['readyG', 'finishedAtMs'], { id }, { order: [['id', 'ASC']], lock: true })
  // A lot whose pieces were never weighed out ends only by its packs, the last piece taken away, or a decision on a
  // hold.
  const ends = gone.length > 0 || OF_LOT.some(name => tables.book.touchedIds(name).length > 0)
  const rows = found.filter(row => ends || row.readyG !== null || row.finishedAtMs !== null)
  if (rows.length === 0) return
  const lotId = rows.map(row => row.id)
  const [packs, unsent, offcuts, holds, pieces, slices] = await Promise.all([
    tables.packs.totals('lotId', { sum: ['netG'], where: { lotId }, lock: true }),
    tables.packs.totals('lotId', { where: { lotId, dispatchId: null }, lock: true }),
    tables.offcuts.totals('lotId', { sum: ['massG'], where: { lotId, atCut: null }, lock: true }),
    tables.holds.pick(['lotId', 'disposition', 'pieceIds'], { lotId }, { lock: true }),
    tables.pieces.pick(['lotId', 'parentId', 'goneAtMs', 'goneWhy'], { lotId }),
    tables.steps.pick(['pieces'], { lotId, kind: 'slice' }),
  ])
  const sliced = new Set(slices.flatMap(step => step.pieces))
  const there = groupBy(pieces.filter(piece => piece.goneAtMs === null), piece => piece.lotId)
  const treeOf = treesOf(pieces)
  const lost = await lostPacks(tables, lotId, holds, treeOf)
  await mark(tables.lots, rows, nowMs, ({ id: of, readyG }) =>
    isFinishedLot({
      destroyed: holds.some(hold => hold.lotId === of && destroysLot(hold, treeOf(of))),
      heldOpen: holds.some(hold => hold.lotId === of && isUndecided(hold)),
      packs: packs.get(of)?.count ?? 0,
      unsent: (unsent.get(of)?.count ?? 0) - (lost.get(of)?.length ?? 0),
      readyG,
      unsliced: (there.get(of) ?? []).filter(piece => !sliced.has(piece.id)).length,
      allGone: !there.has(of),
      leftG: !there.has(of) ? 0 : readyG === null ? null : readyG - (packs.get(of)?.sum.netG ?? 0) - (offcuts.get(of)?.sum.massG ?? 0),
    }),
  )
}

async function settleMeat(tables: Tables, nowMs: Milliseconds): Promise<void> {
  const id = [...new Set([...tables.book.touchedIds('meatLots'), ...(await owners(tables, OF_MEAT, 'meatLotId'))])]
  if (id.length === 0) return
  const rows = await tables.meatLots.pick(['state', 'weightG', 'finishedAtMs'], { id }, { order: [['id', 'ASC']], lock: true })
  const sums = await meatSums(
    tables,
    rows.map(row => row.id),
    true,
  )
  await mark(tables.meatLots, rows, nowMs, ({ id: of, state, weightG }) =>
    isFinishedMeat({ state, weightG, leftG: weightG - sums.usedG(of), loosePieces: sums.loose(of) }),
  )
}

async function settleIngredients(tables: Tables, nowMs: Milliseconds): Promise<void> {
  const id = [
    ...new Set([
      ...tables.book.touchedIds('ingredientLots'),
      ...(await owners(tables, OF_INGREDIENT, 'ingredientLotId')),
    ]),
  ]
  if (id.length === 0) return
  const rows = await tables.ingredientLots.pick(['amountG', 'finishedAtMs'], { id }, { order: [['id', 'ASC']], lock: true })
  const sums = await ingredientSums(
    tables,
    rows.map(row => row.id),
    true,
  )
  await mark(tables.ingredientLots, rows, nowMs, ({ id: of, amountG }) =>
    isFinishedIngredient({ amountG, leftG: amountG - sums.outG(of) }),
  )
}

/** Every change of a smoke's readings makes a new version of them. */
async function countReadings(tables: Tables): Promise<void> {
  const id = tables.book.touchedIds('runReadings')
  if (id.length === 0) return
  const runIds = [...(await tables.runReadings.totals('runId', { where: { id }, withVoided: true })).keys()]
  for (const run of await tables.runs.pick(['readingsVersion'], { id: runIds }, { lock: true, withVoided: true }))
    await tables.runs.update(run.id, { readingsVersion: (run.readingsVersion ?? 0) + 1 })
}

/**
 * Marks what the rows of this transaction finished, or opened again: lots packed and sent to the end, meat and
 * ingredients used up. Pages ask for what is open by that mark, however many years lie behind it.
 */
export async function settle(tables: Tables, nowMs: Milliseconds): Promise<void> {
  await countReadings(tables)
  await settleMeat(tables, nowMs)
  await settleLots(tables, nowMs)
  await settleIngredients(tables, nowMs)
}
