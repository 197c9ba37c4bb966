import { atKey } from '#core/lists/at-key'
import { pieceName } from '#core/life/parts'
import { turningDay } from '#core/turning/turning-day'
import { altersPast } from '#core/plan/alters-past'
import { planDoubt } from '#core/plan/plan-fault'
import type { planChangeInput } from '#shared/contracts/plans'
import type { z } from 'zod'
import { isLeaf } from '../../db/tables/which-pieces'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer, type WriteContext } from '../context'
import { lotPlans } from './lot-plans'

/**
 * Another plan from now on, for the lot or for pieces that go a way of their own. What was to be done on days gone by
 * stays as it was; the plan before stays in the book.
 */
export async function changePlan(
  ctx: WriteContext,
  code: string,
  { plan, pieces, reason, sure }: z.output<typeof planChangeInput>,
): Promise<Answer<{ number: number }>> {
  const { tables } = ctx
  const lot = await tables.lots.one({ code }, { lock: true })
  if (!lot) return refuse('no_such_lot', { code })
  if (lot.finishedAtMs !== null) return refuse('lot_is_finished', { code })
  const rows = (await tables.pieces.pick(['number', 'part', 'goneWhy'], { lotId: lot.id })).filter(isLeaf)
  const named = rows.filter(piece => pieces === null || pieces.includes(piece.id))
  if (pieces !== null && named.length < new Set(pieces).size) return refuse('no_such_piece', {}, ['pieces'])
  const { plan: whole, piecePlans } = atKey((await lotPlans(tables, [lot])), lot.id)
  const before = piecePlans.find(own => pieces?.every(id => own.pieces!.includes(id))) ?? whole
  const today = turningDay(lot.rubbedAtMs, ctx.nowMs, lot.zone)
  if (lot.cureEndedAtMs === null && altersPast(before.plan.cure.rhythm, plan.cure.rhythm, today))
    return refuse('plan_alters_past', { code }, ['plan', 'cure', 'rhythm'])
  const doubt = planDoubt(plan)
  if (doubt && !sure) return refuse(doubt, {}, ['plan', 'then'])
  const number = (await tables.plans.count({ lotId: lot.id }, { withVoided: true })) + 1
  const planId = await tables.plans.insert({
    lotId: lot.id,
    number,
    content: plan,
    assumed: false,
    pieceIds: pieces,
    reason,
    atMs: ctx.nowMs,
    byId: ctx.actor.id,
  })
  recordEvent(ctx, {
    kind: 'plan_changed',
    subjects: [code],
    typed: { plan, pieces, reason },
    computed: {
      planId,
      lotId: lot.id,
      before: before.plan,
      assumed: before.assumed,
      pieces: pieces === null ? null : named.map(pieceName),
    },
    reason,
  })
  return { ok: true, value: { number } }
}
