import type { RowOf } from '../../db/schema/table-spec'
import type { lotIngredients, lots } from '../../db/tables/lots'

/** Two applications, of which the second has not been recorded. */
export const waitingForSecond = (
  lot: Pick<RowOf<typeof lots>, 'method' | 'firstShare'>,
  parts: readonly Pick<RowOf<typeof lotIngredients>, 'application'>[],
): boolean =>
  lot.method === 'two_applications' && lot.firstShare !== null && !parts.some(part => part.application === 2)
