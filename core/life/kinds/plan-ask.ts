/** `cure_early`: out before the days of its plan; `not_heated`: never, though planned; `rest_short`: cut short, or left out. */
export const PLAN_ASKS = ['cure_early', 'not_heated', 'rest_short'] as const
export type PlanAskKind = (typeof PLAN_ASKS)[number]
