import { changesStand } from '#core/life/meaning'
import { newContradiction } from '#core/life/fold-standing'
import type { Step } from '#core/life/step'
import { isThat, type StepKind } from '#core/life/kinds/all-kinds'
import type { RowOf } from '../../db/schema/table-spec'
import type { lots as lotsTable } from '../../db/tables/lots'
import type { Answer, WriteContext } from '../context'
import { keepStayed, rejudge } from '../judging/rejudge'
import { judgePlaces } from '../judging/judge-places'
import { judgeHeated } from '../judging/judge-heated'
import { keepState } from '../steps/keep-state'
import { contradicted } from '../steps/lay-steps'
import { standingSteps, type Standing } from '../steps/standing-steps'

type Lot = RowOf<typeof lotsTable>

/** Lots of some steps, locked, always in the same order. */
export const lockLots = (ctx: WriteContext, lotIds: readonly number[]): Promise<Lot[]> =>
  ctx.tables.lots.find(
    { id: [...new Set(lotIds)].toSorted((a, b) => a - b) },
    { order: [['id', 'ASC']], lock: true, withVoided: true },
  )

/**
 * Holds what would stand after a change of some lots' steps against each other, before it is written: refused with both
 * steps where the change makes them contradict. `changed` makes of what stands what would. Nothing is written here.
 */
export async function refuseChange(
  ctx: WriteContext,
  lots: readonly Lot[],
  changed: (steps: readonly Standing[]) => readonly Step[],
): Promise<Answer<null>> {
  const standing = await standingSteps(ctx.tables, lots.map(lot => lot.id))
  for (const lot of lots) {
    const before = standing.get(lot.id) ?? []
    const made = newContradiction(before, changed(before))
    if (made) return contradicted(lot, made)
  }
  return { ok: true, value: null }
}

/**
 * What follows a change of some lots' steps: the state of their pieces, what lay warm, what stayed and how that cooled.
 */
export async function settleChange(ctx: WriteContext, lots: readonly Lot[], kinds: readonly StepKind[]): Promise<void> {
  for (const lot of lots) await keepState(ctx.tables, lot.id)
  if (kinds.some(changesStand)) await judgePlaces(ctx, lots)
  for (const lot of lots) {
    // What went on, or is still to, is judged as at the rub, with all that follows from it.
    if (kinds.some(kind => isThat(kind, 'putsOn') || (kind === 'out' && lot.firstShare !== null))) {
      await rejudge(ctx, lot.id)
      continue
    }
    if (!kinds.some(kind => isThat(kind, 'movesRetained'))) continue
    await keepStayed(ctx, lot.id)
    await judgeHeated(ctx, lot.id)
  }
}
