import { holdsLot } from '#core/rules/judge-nitrite'
import type { RubInput } from '#shared/contracts/rub'
import type { Answer, WriteContext } from '../context'
import { holdLot } from '../holds/holds'
import { keepStayed } from '../judging/rejudge'
import { checkRub } from './check-rub'
import { judgeRub } from './judge-rub'
import { planRub } from './plan-rub'
import { writeRub } from './write-rub'

/**
 * Rubs a lot: gives it a code and day 0, and keeps the verdict on what was really weighed as its snapshot.
 * Above the legal maximum, or when the weighing cannot show that it is not above, nothing is rubbed.
 * Below the floor it is rubbed and held.
 */
export async function rubLot(ctx: WriteContext, input: RubInput): Promise<Answer<{ code: string }>> {
  const checked = await checkRub(ctx, input)
  if (!checked.ok) return checked
  const plan = planRub(input, checked.value)
  if (!plan.ok) return plan
  const judged = judgeRub(input, checked.value, plan.value)
  if (!judged.ok) return judged
  const judgement = judged.value
  const written = await writeRub(ctx, input, checked.value, { plan: plan.value, judgement })
  if (!written.ok) return written
  await keepStayed(ctx, written.value.id)
  if (holdsLot(judgement.status))
    await holdLot(ctx, written.value, {
      reason: judgement.status,
      figures: { ppm: judgement.lot?.ppm, lowPpm: judgement.lot?.lowPpm },
    })
  return { ok: true, value: { code: written.value.code } }
}
