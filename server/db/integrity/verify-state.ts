import type { RowFinding } from '#core/book/findings'
import { foldStanding } from '#core/life/fold-standing'
import { groupBy } from '#core/lists/group-by'
import type { Sequelize, Transaction } from 'sequelize'
import { openTables } from '../database'
import { idStretches } from '../line/id-stretches'
import { stepOf } from './step-of'
import { PIECE_STATE } from '../tables/piece-state'

const LOTS_AT_ONCE = 200

/**
 * Where each piece stands by what is kept with it, against its lot's steps folded anew: the state columns are under no
 * seal, the steps are. Goes lot by lot, in stretches.
 */
export async function* verifyState(
  sequelize: Sequelize,
  transaction: Transaction,
  /** Lots whose steps contradict each other: the book is whole all the same. */
  contradicts: (code: string) => void = () => {},
): AsyncGenerator<RowFinding> {
  const tables = openTables(sequelize, transaction)
  const differs = (table: string, row: number): RowFinding => ({ id: null, why: 'state_differs', table, row })
  const stretch = { weigh: [], mostRows: LOTS_AT_ONCE, mostBytes: Infinity, transaction }
  for await (const [first, last] of idStretches(sequelize, 'lots', stretch)) {
    const id = Array.from({ length: last - first + 1 }, (_, i) => first + i)
    const lots = await tables.lots.pick(['code', 'cureEndedAtMs', 'drainedAtMs', 'contradictions'], { id })
    const lotId = lots.map(lot => lot.id)
    const [steps, pieces] = await Promise.all([
      tables.steps.find({ lotId }),
      tables.pieces.pick(['lotId', ...PIECE_STATE], { lotId }),
    ])
    const stepsOf = groupBy(steps.map(stepOf), step => step.lotId)
    const piecesOf = groupBy(pieces, piece => piece.lotId)
    for (const lot of lots) {
      const { life, leftOut } = foldStanding(stepsOf.get(lot.id) ?? [])
      if (leftOut.length > 0) contradicts(lot.code)
      const kept = { cureEndedAtMs: life.cureEndedAtMs, drainedAtMs: life.drainedAtMs, contradictions: leftOut.length }
      const differ = (['cureEndedAtMs', 'drainedAtMs', 'contradictions'] as const).filter(key => lot[key] !== kept[key])
      // A lot without the mark is fine: nobody looked since there is the column.
      if (differ.some(key => key !== 'contradictions' || lot.contradictions !== null)) yield differs('lots', lot.id)
      const lives = new Map(life.pieces.map(piece => [piece.pieceId, piece]))
      for (const row of piecesOf.get(lot.id) ?? []) {
        const piece = lives.get(row.id)
        if (!piece || PIECE_STATE.some(column => row[column] !== piece[column])) yield differs('pieces', row.id)
      }
    }
  }
}
