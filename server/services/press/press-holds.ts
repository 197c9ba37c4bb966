import type { LotLife } from '#core/life/fold'
import type { PressInput } from '#shared/steps/press'
import type { WriteContext } from '../context'
import { holdLot } from '../holds/holds'

export const hangAll = ({ pieces }: LotLife, ids: readonly number[]): boolean =>
  pieces.every(life => !ids.includes(life.pieceId) || life.stage === 'hang')

/** Meat that smells off waits for the owner. */
export async function holdForLook(
  ctx: WriteContext,
  lot: { id: number; code: string },
  { steps }: PressInput,
  pieceIds: number[],
  hangs: boolean,
): Promise<void> {
  if (steps.some(step => step.kind === 'look' && step.smell === 'off'))
    await holdLot(ctx, lot, { reason: 'smell_off', pieceIds, again: true, figures: {} })
  // White bloom is as the shop's policy has it where meat hangs; on soft bacon, or of another colour, nothing is as it
  // should.
  if (steps.some(step => step.kind === 'look' && (step.mould === 'other' || (step.mould === 'white' && !hangs))))
    await holdLot(ctx, lot, { reason: 'mould', pieceIds, again: true, figures: {} })
}

/** A hold on what hangs warm all the same, without nitrite or too wet: the owner decides. */
export async function holdForHang(
  ctx: WriteContext,
  lot: { id: number; code: string },
  why: string,
  pieceIds: readonly number[],
): Promise<void> {
  await holdLot(ctx, lot, { reason: 'hung_warm', pieceIds, again: true, figures: { why } })
}
