import { foldStanding } from '#core/life/fold-standing'
import { isThat, type FiguresOfStep } from '#core/life/kinds/all-kinds'
import type { SettledStep } from '#shared/contracts/records'
import { PIECE_STATE } from '../../db/tables/piece-state'
import { recordEvent } from '../book/record-event'
import type { WriteContext } from '../context'
import { lockRows } from '../lock-rows'
import { keepState } from './keep-state'
import { standingSteps } from './standing-steps'

/** Pieces and offcuts that a cut made, where it counts for nothing. */
async function voidParts({ tables }: WriteContext, stepIds: readonly number[]): Promise<void> {
  const cuts = await tables.steps.find({ id: stepIds, kind: 'cut' }, { withVoided: true })
  const parts = cuts.flatMap(step => (step.figures as FiguresOfStep['cut']).parts.map(part => part.pieceId))
  await tables.pieces.setVoid(parts)
  const off = await tables.offcuts.pick([], { stepId: cuts.map(step => step.id), atCut: true })
  await tables.offcuts.setVoid(off.map(row => row.id))
}

/**
 * Sets right what contradicts itself in a lot, as it counts already: the later of two steps is voided, and where the
 * pieces stand is worked out anew. What it weighed or put on stays on record. One record tells of it, where something was
 * done; null when nothing contradicts itself.
 */
export async function settleSteps(
  ctx: WriteContext,
  { id: lotId, code }: { id: number; code: string },
): Promise<{ settled: SettledStep[]; left: SettledStep[]; isMoved: boolean } | null> {
  const { tables } = ctx
  const meat = await tables.pieces.pick(['meatLotId'], { lotId })
  await lockRows(tables, { meatLots: meat.map(piece => piece.meatLotId), lots: [lotId] })
  const before = (await standingSteps(tables, [lotId])).get(lotId) ?? []
  const { leftOut } = foldStanding(before)
  const records = new Map((await tables.steps.pick(['eventId'], { lotId })).map(step => [step.id, step.eventId]))
  const told = leftOut.map(({ id, kind, fromMs }): SettledStep => ({ id, kind, fromMs, eventId: records.get(id) ?? null }))
  const settled = told.filter(step => !isThat(step.kind, 'withOthers'))
  const left = told.filter(step => isThat(step.kind, 'withOthers'))
  const ids = settled.map(step => step.id)
  await tables.steps.setVoid(ids)
  await voidParts(ctx, ids)
  const stood = await stateOf(ctx, lotId)
  await keepState(tables, lotId)
  const isMoved = stood !== (await stateOf(ctx, lotId))
  if (settled.length === 0 && !isMoved) return left.length > 0 ? { settled, left, isMoved } : null
  recordEvent(ctx, { kind: 'steps_settled', subjects: [code], typed: {}, computed: { settled, left } })
  return { settled, left, isMoved }
}

/** Where a lot's pieces stand, as text to compare. */
async function stateOf({ tables }: WriteContext, lotId: number): Promise<string> {
  const [lot, pieces] = await Promise.all([
    tables.lots.pick(['cureEndedAtMs', 'drainedAtMs', 'contradictions'], { id: lotId }),
    tables.pieces.pick([...PIECE_STATE], { lotId }, { order: [['id', 'ASC']] }),
  ])
  return JSON.stringify([lot, pieces])
}
