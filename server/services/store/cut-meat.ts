import type { Grams } from '#core/units/quantities'
import { TWO_SCALES_SHARE } from '#core/rules/house'
import type { z } from 'zod'
import { accountFor, meatPieceLabel } from '#core/store/divide'
import type { cuttingInput } from '#shared/contracts/store'
import type { Tables } from '../../db/database'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer, type WriteContext } from '../context'
import { refuseScale } from '../instruments/read-with'
import { meatLeftG } from '../store-rows/stock'

type Input = z.output<typeof cuttingInput>

/** The piece that goes under the knife: whole, of this meat, and not in a lot already. */
async function freePiece(tables: Tables, meatLotId: number, pieceId: number) {
  const piece = await tables.meatPieces.one({ id: pieceId, meatLotId }, { lock: true })
  if (!piece) return refuse('no_such_piece', {}, ['pieceId'])
  const gone
    = (await tables.cuttings.count({ parentId: pieceId })) + (await tables.pieces.count({ meatPieceId: pieceId }))
  return gone > 0 ? refuse('piece_gone', { label: piece.label }, ['pieceId']) : { ok: true as const, value: piece }
}

/** Cuts, bones, splits or trims: pieces with their weights, and trim, bone and rind accounted for. */
export async function cutMeat(
  ctx: WriteContext,
  code: string,
  input: Input,
): Promise<Answer<{ labels: string[]; unaccountedG: Grams }>> {
  const { tables } = ctx
  const meat = await tables.meatLots.one({ code }, { lock: true })
  if (!meat) return refuse('no_such_meat', { code })
  if (meat.state !== 'in') return refuse('meat_not_in', { code, state: meat.state })
  const noScale = await refuseScale(tables, input.scaleId, ['scaleId'])
  if (noScale) return noScale
  const parent = input.pieceId === null ? null : await freePiece(tables, meat.id, input.pieceId)
  if (parent && !parent.ok) return parent
  const fromG = parent ? parent.value.massG : input.taken!.netG
  const leftG = await meatLeftG(tables, meat)
  if (!parent && fromG > leftG + meat.weightG * TWO_SCALES_SHARE)
    return refuse('meat_used_up', { code, leftG: Math.max(0, leftG), wantedG: fromG }, ['taken'])
  const gone = { trimG: input.trim?.netG ?? 0, boneG: input.bone?.netG ?? 0, rindG: input.rind?.netG ?? 0 }
  const { unaccountedG, status } = accountFor({ fromG, piecesG: input.pieces.map(piece => piece.netG), ...gone })
  if (status === 'too_much') return refuse('cut_too_much', { fromG, outG: fromG - unaccountedG }, ['pieces'])
  if (status === 'ask' && (input.note ?? '').length < 3)
    return refuse('cut_unaccounted', { unaccountedG: Math.abs(unaccountedG) }, ['note'])

  const cuttingId = await tables.cuttings.insert({
    meatLotId: meat.id,
    parentId: parent?.value.id ?? null,
    kind: input.kind,
    fromG,
    fromTyped: parent ? parent.value.massTyped : input.taken!.typed,
    ...gone,
    unaccountedG,
    scaleId: input.scaleId,
    note: input.note || null,
    atMs: ctx.nowMs,
    byId: ctx.actor.id,
  })
  // Voided pieces keep their labels: a number is given once.
  const before = parent
    ? 0
    : (await tables.meatPieces.find({ meatLotId: meat.id }, { withVoided: true })).filter(
        piece => !piece.label.includes('.'),
      ).length
  const labels = input.pieces.map((_piece, i) => meatPieceLabel(parent?.value.label ?? null, before + i + 1))
  await tables.meatPieces.insertMany(
    input.pieces.map((piece, i) => ({
      meatLotId: meat.id,
      cuttingId,
      label: labels[i]!,
      massG: piece.netG,
      massTyped: piece.typed,
    })),
  )
  recordEvent(ctx, {
    kind: 'meat_cut',
    subjects: [code],
    typed: input,
    computed: { cuttingId, from: parent?.value.label ?? code, fromG, labels, unaccountedG, ...gone },
  })
  return { ok: true, value: { labels, unaccountedG } }
}
