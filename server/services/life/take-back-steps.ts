import { foldLife } from '#core/life/fold'
import { isSound } from '#core/life/fold-standing'
import type { Step, StepKind } from '#core/life/step'
import type { Refusal, WriteContext } from '../context'
import { keepStayed, MOVES_STAYED } from '../lots/rejudge'
import { judgePlaces } from '../places/judge-places'
import { judgeHeated } from '../smoke/judge-heated'
import { keepState } from './keep-state'
import { contradicted } from './lay-steps'
import { standingSteps } from './standing-steps'

/** Kinds by which pieces get to another place or stage. */
const MOVES = new Set<StepKind>(['move', 'out', 'heat'])

/**
 * Takes back the steps that a record told of, and opens again those that it ended. What would then contradict itself is
 * refused, with both steps; a rub takes all steps of its lot along. Null when it is done.
 */
export async function takeBackSteps(ctx: WriteContext, eventId: number): Promise<Refusal | null> {
  const { steps } = ctx.tables
  const [told, ended] = await Promise.all([steps.find({ eventId }), steps.find({ endEventId: eventId })])
  const lotIds = [...new Set([...told, ...ended].map(step => step.lotId))].toSorted((a, b) => a - b)
  if (lotIds.length === 0) return null
  const lots = await ctx.tables.lots.find({ id: lotIds }, { order: [['id', 'ASC']], lock: true, withVoided: true })
  const rubbed = new Set(told.filter(step => step.kind === 'rub').map(step => step.lotId))
  const standing = await standingSteps(ctx.tables, lotIds)
  const gone = new Set(told.map(step => step.id))
  const open = new Set(ended.map(step => step.id))
  for (const lot of lots) {
    const before = standing.get(lot.id) ?? []
    if (rubbed.has(lot.id)) {
      before.forEach(step => gone.add(step.id))
      continue
    }
    const after = before
      .filter(step => !gone.has(step.id))
      .map((step): Step => (open.has(step.id) ? { ...step, toMs: null } : step))
    const folded = foldLife(after)
    if (!folded.ok && isSound(before)) return contradicted(lot, folded.contradiction)
  }
  await steps.setVoid([...gone])
  for (const id of open) await steps.update(id, { toAtMs: null, endEventId: null })
  const stay = lots.filter(lot => !rubbed.has(lot.id))
  for (const lot of stay) await keepState(ctx.tables, lot.id)
  if ([...told, ...ended].some(step => MOVES.has(step.kind))) await judgePlaces(ctx, stay)
  for (const lot of stay) {
    if (!told.some(step => step.lotId === lot.id && MOVES_STAYED.has(step.kind))) continue
    await keepStayed(ctx, lot.id)
    await judgeHeated(ctx, lot.id)
  }
  return null
}
