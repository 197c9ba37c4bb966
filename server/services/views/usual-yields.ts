import { groupBy } from '#core/lists/group-by'
import { CUTS, type Cut } from '#core/rules/cuts'
import { YIELD_LOTS } from '#core/rules/house'
import type { Fraction } from '#core/units/quantities'
import type { Tables } from '../../db/database'
import { present } from '../../db/schema/where'
import { RUBBED } from '../../db/tables/which-pieces'

/**
 * The median of what the shop's last finished lots weighed ready to slice, by cut, as a share of their green weight.
 */
export async function usualYields(tables: Tables): Promise<Partial<Record<Cut, Fraction>>> {
  const lots = await tables.lots.pickEach(['cut', 'readyG'], {
    wheres: CUTS.map(cut => ({ cut, readyG: present, finishedAtMs: present })),
    first: { order: [['id', 'DESC']], limit: YIELD_LOTS },
  })
  const lotId = lots.map(lot => lot.id)
  const greens = await tables.pieces.totals('lotId', { sum: ['greenG'], where: { lotId, ...RUBBED } })
  const shares = lots.flatMap(({ id, cut, readyG }) => {
    const greenG = greens.get(id)?.sum.greenG ?? 0
    return greenG > 0 ? [{ cut, share: readyG! / greenG }] : []
  })
  return Object.fromEntries(
    [...groupBy(shares, one => one.cut)].map(([cut, some]) => {
      const inOrder = some.map(one => one.share).toSorted((a, b) => a - b)
      const middle = inOrder.length / 2
      return [cut, (inOrder[Math.ceil(middle) - 1]! + inOrder[Math.floor(middle)]!) / 2]
    }),
  )
}
