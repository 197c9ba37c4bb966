import type { CorrectionInput } from '#shared/contracts/corrections'
import { refuse, type Answer, type WriteContext } from '../context'
import { holdLot } from '../holds/holds'
import { lockRows } from '../lock-rows'
import { agentFits } from '../rub/agent-fits'
import type { Changed } from './changed'
import { rejudge } from '../judging/rejudge'

/** Stands in the book for a curing salt that nobody can name. */
const UNKNOWN = 'unknown'

/**
 * Another curing salt went on than was written down. The lot is judged anew by the one that did; one that is none, or
 * holds nitrate where the rules allow none, or that nobody can name, holds the lot.
 */
export async function correctAgent(
  ctx: WriteContext,
  c: Extract<CorrectionInput, { what: 'agent_used' }>,
): Promise<Answer<Changed>> {
  const { tables } = ctx
  const known = await tables.lotIngredients.one({ id: c.id, role: 'agent' })
  const told = c.value === null ? [] : await tables.ingredientLots.pick([], { code: c.value })
  const bags = [...(known ? [known.ingredientLotId] : []), ...told.map(bag => bag.id)]
  await lockRows(tables, { lots: known ? [known.lotId] : [], ingredientLots: bags })
  const part = await tables.lotIngredients.one({ id: c.id, role: 'agent' }, { lock: true })
  if (!part) return refuse('no_such_entry')
  const [lot, before] = [
    await tables.lots.the({ id: part.lotId }),
    await tables.ingredientLots.the({ id: part.ingredientLotId }, { withVoided: true }),
  ]
  const used = c.value === null ? null : await tables.ingredientLots.one({ code: c.value })
  if (c.value !== null && !used) return refuse('no_such_ingredient', { code: c.value }, ['value'])
  const done = (to: string): Answer<Changed> => ({
    ok: true,
    value: {
      subjects: [lot.code, before.code, ...(used ? [used.code] : [])],
      about: `the curing salt of ${lot.code}`,
      from: before.code,
      to,
    },
  })
  if (!used) {
    await holdLot(ctx, lot, { reason: 'unknown_agent', again: true, figures: { written: before.code } })
    await rejudge(ctx, lot.id, { agentKnown: false })
    return done(UNKNOWN)
  }
  await tables.lotIngredients.update(part.id, { ingredientLotId: used.id })
  // The same question as at the rub, as of the day of the rub.
  const fit = await agentFits(tables, lot, used, lot.rubbedOn)
  if (!fit.ok || fit.value === null)
    await holdLot(ctx, lot, { reason: 'wrong_agent', again: true, figures: { used: used.code } })
  await rejudge(ctx, lot.id)
  return done(used.code)
}
