import type { PlanAskKind } from './plan-ask'

/** What of its plan a step went against, when somebody said why. */
export interface Against {
  against?: readonly PlanAskKind[]
}
