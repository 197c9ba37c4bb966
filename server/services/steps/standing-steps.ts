import { groupBy } from '#core/lists/group-by'
import type { Step } from '#core/life/step'
import type { Tables } from '../../db/database'
import { stepOf } from '../../db/integrity/step-of'

/** A step, who told it, and of which lot. */
export type Standing = Step & { byId: number; lotId: number }

/** Steps of lots that stand, by lot, in order of happening. */
export async function standingSteps(tables: Tables, lotId: readonly number[]): Promise<Map<number, Standing[]>> {
  const rows = await tables.steps.find(
    { lotId },
    {
      order: [
        ['fromAtMs', 'ASC'],
        ['id', 'ASC'],
      ],
    },
  )
  return groupBy(
    rows.map(stepOf),
    step => step.lotId,
  )
}
