import type { Step } from '#core/life/step'
import type { Milliseconds } from '#core/units/quantities'

interface StepRow {
  fromAtMs: Milliseconds
  toAtMs: Milliseconds | null
}
type RestOf<R> = Omit<R, keyof StepRow | keyof Step>

/** A row of `steps` as the fold takes it; what more it holds comes along. */
export const stepOf = <R extends StepRow>({ fromAtMs, toAtMs, ...row }: R): Step & RestOf<R> =>
  ({ ...row, fromMs: fromAtMs, toMs: toAtMs }) as unknown as Step & RestOf<R>
