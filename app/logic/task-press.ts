import type { Task, TaskKind } from '#core/today/task'
import type { DueKind } from '#core/plan/due-thing'
import type { LotSummary } from '#shared/contracts/lots'
import type { Milliseconds } from '#core/units/quantities'
import { turningDay } from '#core/turning/turning-day'
import { planOf } from './plan-of'
import { pressOf, type PlanPress } from './plan-press'

/** Tasks that one tap finishes, without a question. */
const ONE_TAP: Partial<Record<TaskKind, DueKind>> = {
  turn: 'turn',
  end_cure: 'out',
  soak: 'soak',
  dry: 'dry',
  rest: 'rest',
  humidity: 'humidity',
}

/** The finished step of a task, where one tap is enough; null where something has to be said. */
export function taskPress({ kind, pieces, item, because, add }: Task, lot: LotSummary | undefined, nowMs: Milliseconds): PlanPress | null {
  const due = ONE_TAP[kind]
  if (!due || !lot || add) return null
  const plan = planOf(lot, pieces ?? lot.pieces.map(piece => piece.id))
  return pressOf({ kind: due, item, because }, plan, turningDay(lot.rubbedAtMs, nowMs, lot.zone))
}
