import type { PlanAskKind } from './plan-ask'

/** What of its plan a step went against, when somebody said why. */
export interface Against {
  against?: readonly PlanAskKind[]
}
/** Only what was gone against is said. */
export const againstOf = ({ against }: Against): Against => (against ? { against } : {})
