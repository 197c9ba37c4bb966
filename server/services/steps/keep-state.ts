import { atKey } from '#core/lists/at-key'
import { groupBy } from '#core/lists/group-by'
import { foldStanding, type Standings } from '#core/life/fold-standing'
import type { PieceLife } from '#core/life/fold'
import type { Milliseconds } from '#core/units/quantities'
import type { Tables } from '../../db/database'
import type { RowOf } from '../../db/schema/table-spec'
import type { pieces } from '../../db/tables/lots'
import { PIECE_STATE } from '../../db/tables/piece-state'
import { standingSteps } from './standing-steps'

/**
 * Keeps with each piece of a lot where it stands by the lot's steps, and with the lot when its cure was over, when it was
 * last drained, and how many of its steps contradict others. The only writer of these columns: whatever tells, voids or
 * corrects a step ends here. Only what changed is written. The lot must be locked. `folded`: the steps are folded already;
 * `known`: what the lot's row and its pieces hold, where they were read under that lock.
 */
export async function keepState(
  tables: Tables,
  lotId: number,
  folded?: Folded,
  known: Partial<Kept> = {},
): Promise<void> {
  const [{ life, leftOut }, lot, rows] = await Promise.all([
    folded ?? foldedOf(tables, lotId),
    isKept(known) ? known : tables.lots.one({ id: lotId }),
    known.pieces ?? tables.pieces.pick([...PIECE_STATE], { lotId }),
  ])
  if (!lot) return
  const kept = new Map(rows.map(row => [row.id, row]))
  const changed = life.pieces.filter((piece) => {
    const row = kept.get(piece.pieceId)
    return row && PIECE_STATE.some(column => row[column] !== piece[column])
  })
  if (changed.some(piece => atKey(kept, piece.pieceId).goneAtMs !== piece.goneAtMs)) tables.book.mayEnd.add(lotId)
  // Mostly all of a lot stand alike.
  for (const alike of groupBy(changed, piece => JSON.stringify(stateOf(piece))).values())
    await tables.pieces.update(
      alike.map(piece => piece.pieceId),
      stateOf(alike[0]!),
    )
  const { cureEndedAtMs, drainedAtMs } = life
  if (lot.cureEndedAtMs !== cureEndedAtMs || lot.drainedAtMs !== drainedAtMs)
    await tables.lots.update(lotId, { cureEndedAtMs, drainedAtMs })
  if (lot.contradictions !== leftOut.length) await tables.lots.update(lotId, { contradictions: leftOut.length })
}

/** What a lot's steps come to, and those that contradict others. */
type Folded = Pick<Standings, 'life' | 'leftOut'>

/** What the rows of a lot and of its pieces keep of its steps. */
export interface Kept {
  cureEndedAtMs: Milliseconds | null
  drainedAtMs: Milliseconds | null
  contradictions: number | null
  pieces?: readonly Pick<RowOf<typeof pieces>, 'id' | (typeof PIECE_STATE)[number]>[]
}
const isKept = (known: Partial<Kept>): known is Kept =>
  known.cureEndedAtMs !== undefined && known.drainedAtMs !== undefined && known.contradictions !== undefined

const foldedOf = async (tables: Tables, lotId: number): Promise<Folded> =>
  foldStanding((await standingSteps(tables, [lotId])).get(lotId) ?? [])

const stateOf = (piece: PieceLife) =>
  Object.fromEntries(PIECE_STATE.map(column => [column, piece[column]])) as Pick<PieceLife, (typeof PIECE_STATE)[number]>
