import { MS_PER_MINUTE, type Milliseconds } from '#core/units/quantities'
import type { StepInput } from '#shared/steps/all-told'

/** The span of a step, by the hour that was told: the end of what is over, else the beginning. */
export function spanOf(step: StepInput, atMs: Milliseconds): { fromMs: Milliseconds; toMs: Milliseconds | null } {
  if (step.kind === 'hang') return { fromMs: atMs, toMs: null }
  if (!('minutes' in step)) return { fromMs: atMs, toMs: atMs }
  return step.minutes === null
    ? { fromMs: atMs, toMs: null }
    : { fromMs: atMs - step.minutes * MS_PER_MINUTE, toMs: atMs }
}
