import type { FiguresOfStep } from '#core/life/kinds/all-kinds'
import type { Step } from '#core/life/step'
import type { Refusal, WriteContext } from '../context'
import { stepsOfRecord } from '../steps/steps-of-record'
import { lockLots, refuseChange, settleChange } from './change-steps'

/**
 * Takes back the steps that a record told of, and opens again those that it ended. What would then contradict itself is
 * refused, with both steps; a rub takes all steps of its lot along. Null when it is done.
 */
export async function takeBackSteps(ctx: WriteContext, eventId: number): Promise<Refusal | null> {
  const { steps } = ctx.tables
  const ids = await stepsOfRecord(ctx.tables, eventId)
  const [told, ended] = await Promise.all([steps.find({ id: ids.told }), steps.find({ id: ids.ended })])
  const touched = [...told, ...ended]
  if (touched.length === 0) return null
  const lots = await lockLots(ctx, touched.map(step => step.lotId))
  const rubbed = new Set(told.filter(step => step.kind === 'rub').map(step => step.lotId))
  const stay = lots.filter(lot => !rubbed.has(lot.id))
  const gone = new Set(told.map(step => step.id))
  const open = new Set(ended.map(step => step.id))
  const refused = await refuseChange(ctx, stay, before =>
    before
      .filter(step => !gone.has(step.id))
      .map((step): Step => (open.has(step.id) ? { ...step, toMs: null } : step)),
  )
  if (!refused.ok) return refused
  const ofRubbed = rubbed.size > 0 ? await steps.pick([], { lotId: [...rubbed] }) : []
  await steps.setVoid([...gone, ...ofRubbed.map(step => step.id)])
  for (const id of open) await steps.update(id, { toAtMs: null, endEventId: null })
  const puts = await ctx.tables.lotIngredients.pick([], { stepId: [...gone] })
  await ctx.tables.lotIngredients.setVoid(puts.map(part => part.id))
  const cuts = told.flatMap(step => (step.kind === 'cut' ? (step.figures as FiguresOfStep['cut']).parts : []))
  if (cuts.length > 0) await ctx.tables.pieces.setVoid(cuts.map(part => part.pieceId))
  const off = await ctx.tables.offcuts.pick([], { stepId: [...gone], atCut: true })
  if (off.length > 0) await ctx.tables.offcuts.setVoid(off.map(row => row.id))
  await settleChange(ctx, stay, touched.map(step => step.kind))
  return null
}
