import { isWet, type CureMethod } from '#core/cure/cure-method'
import { greenShares } from '#core/life/divide'
import { nextParts, pieceLabel } from '#core/life/parts'
import { CUT_OVER_DRY_SHARE, CUT_OVER_WET_SHARE, MOST_CUT_TIMES, UNACCOUNTED_SHARE } from '#core/rules/house'
import { sumOf } from '#core/lists/sum-of'
import type { FiguresOfStep } from '#core/life/kinds/all-kinds'
import type { Grams } from '#core/units/quantities'
import type { StepInput } from '#shared/steps/all-told'
import type { RowOf } from '../../db/schema/table-spec'
import type { pieces as piecesTable } from '../../db/tables/lots'
import { refuse, type Answer, type Refusal, type WriteContext } from '../context'

type CutInput = Extract<StepInput, { kind: 'cut' }>
type Piece = Pick<RowOf<typeof piecesTable>, 'id' | 'lotId' | 'number' | 'part' | 'greenG'>

/**
 * Parts and offcuts that weigh more than the piece can, or less than it did: asked about, and taken where it was so.
 */
function refuseCut(lot: { code: string; method: CureMethod }, piece: Piece, cut: CutInput, allG: Grams): Refusal | null {
  const possibleG = piece.greenG * MOST_CUT_TIMES
  if (allG > possibleG) return refuse('cut_impossible', { code: lot.code, allG, mostG: possibleG }, ['steps', 0, 'into'])
  if (cut.sure) return null
  const wholeG = cut.whole?.netG ?? null
  const mostG = wholeG === null
    ? piece.greenG * (1 + (isWet(lot.method) ? CUT_OVER_WET_SHARE : CUT_OVER_DRY_SHARE))
    : wholeG * (1 + UNACCOUNTED_SHARE)
  if (allG > mostG) return refuse('cut_heavier', { code: lot.code, allG, mostG: wholeG ?? piece.greenG }, ['steps', 0, 'into'])
  if (wholeG !== null && wholeG - allG > UNACCOUNTED_SHARE * wholeG)
    return refuse('cut_missing', { code: lot.code, missingG: wholeG - allG, wholeG }, ['steps', 0, 'into'])
  return null
}

/**
 * The rows of the parts that a piece is cut into, and what the step says of them. Parts go on under the piece's number
 * with the next letters that no part of it has. `rows` are all pieces of the lot.
 */
export async function cutUp(
  ctx: WriteContext,
  lot: { id: number; code: string; method: CureMethod },
  piece: Piece,
  rows: readonly Piece[],
  cut: CutInput,
): Promise<Answer<{ figures: FiguresOfStep['cut']; labels: string[] }>> {
  const [partsG, offcutsG] = [cut.into.map(part => part.weight.netG), cut.offcuts.map(one => one.weight.netG)]
  const refused = refuseCut(lot, piece, cut, sumOf([...partsG, ...offcutsG], massG => massG))
  if (refused) return refused
  const tags = cut.into.flatMap(part => part.tag?.toLowerCase() ?? [])
  if (new Set(tags).size < tags.length) return refuse('tag_twice', {}, ['steps', 0, 'into'])
  const whole = await ctx.tables.pieces.the({ id: piece.id })
  const letters = nextParts(rows.flatMap(row => (row.number === piece.number ? (row.part ?? []) : [])), partsG.length)
  const greenG = greenShares(piece.greenG, partsG, offcutsG)
  const ids = await ctx.tables.pieces.insertMany(
    cut.into.map(({ weight, tag }, i) => ({
      lotId: lot.id,
      number: piece.number,
      part: letters[i]!,
      parentId: piece.id,
      meatLotId: whole.meatLotId,
      meatPieceId: null,
      greenG: greenG[i]!,
      greenTyped: weight.typed,
      // A part's share rests on its own weighing and on the others'.
      readings: 2,
      bag: whole.bag,
      tag,
    })),
  )
  return {
    ok: true,
    value: {
      figures: {
        parts: ids.map((pieceId, i) => ({ pieceId, netG: partsG[i]! })),
        offcuts: cut.offcuts.map(({ kind, weight }) => ({ kind, netG: weight.netG })),
        wholeG: cut.whole?.netG ?? null,
      },
      labels: letters.map(part => pieceLabel({ number: piece.number, part })),
    },
  }
}

/** What came off with a cut, kept where all that came off a lot stands. */
export async function keepOffcuts(
  ctx: WriteContext,
  lotId: number,
  stepId: number,
  cut: CutInput,
  atMs: number,
): Promise<void> {
  if (cut.offcuts.length === 0) return
  await ctx.tables.offcuts.insertMany(
    cut.offcuts.map(({ kind, weight }) => ({
      lotId,
      kind,
      massG: weight.netG,
      massTyped: weight.typed,
      atMs,
      byId: ctx.actor.id,
      stepId,
      atCut: true,
    })),
  )
}
