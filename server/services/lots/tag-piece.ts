import { pieceLabel } from '#core/life/parts'
import type { TagInput } from '#shared/entry/tags'
import { isLeaf } from '../../db/tables/which-pieces'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer, type WriteContext } from '../context'
import { lockRows } from '../lock-rows'

/** Ties a tag to a piece, or takes it off. In one lot each has its own. */
export async function tagPiece(ctx: WriteContext, pieceId: number, { tag }: TagInput): Promise<Answer<object>> {
  const { tables } = ctx
  const [known] = await tables.pieces.pick(['lotId', 'meatLotId'], { id: pieceId })
  if (!known) return refuse('no_such_piece')
  // Whatever is written of a piece, its delivery is counted anew.
  await lockRows(tables, { meatLots: [known.meatLotId], lots: [known.lotId] })
  const lot = await tables.lots.the({ id: known.lotId })
  const pieces = (await tables.pieces.pick(['number', 'part', 'tag', 'goneWhy'], { lotId: lot.id })).filter(isLeaf)
  const piece = pieces.find(one => one.id === pieceId)
  if (!piece) return refuse('no_such_piece')
  const same = tag === null ? undefined : pieces.find(one => one.id !== pieceId && one.tag?.toLowerCase() === tag.toLowerCase())
  if (same) return refuse('tag_taken', { tag: tag!, number: pieceLabel(same) }, ['tag'])
  await tables.pieces.update(pieceId, { tag })
  recordEvent(ctx, {
    kind: 'piece_tagged',
    subjects: [lot.code],
    typed: { tag },
    computed: { pieceId, number: pieceLabel(piece), before: piece.tag },
  })
  return { ok: true, value: {} }
}
