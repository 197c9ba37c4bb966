import type { FiguresOfStep, Step } from '#core/life/step'
import type { LotLife } from '#core/life/fold'
import type { LotSummary } from '#shared/contracts/lots'
import type { LotNow } from '#shared/contracts/press-answer'
import type { Standing } from './standing-steps'

/** What the last look said of how the thickest piece feels. */
export function lastFeelOf(steps: readonly Pick<Step, 'kind' | 'fromMs' | 'figures'>[]): LotSummary['lastFeel'] {
  const said = steps.flatMap(({ kind, fromMs, figures }) => {
    const feel = kind === 'look' ? (figures as FiguresOfStep['look']).feel : null
    return feel ? [{ feel, atMs: fromMs }] : []
  })
  return said.at(-1) ?? null
}

/** Turns as the twine shows them; `initials` of those who told them. */
export const turnsOf = (
  steps: readonly (Pick<Step, 'id' | 'kind' | 'fromMs' | 'pieces'> & { byId: number })[],
  initials: ReadonlyMap<number, string>,
  /** Of the lot. */
  count: number,
): LotSummary['turns'] =>
  steps.flatMap(({ id, kind, fromMs, byId, pieces }) =>
    kind === 'turn'
      ? [{ id, atMs: fromMs, by: initials.get(byId)!, pieces: pieces.length === count ? null : [...pieces] }]
      : [],
  )

/** A lot as its steps leave it now, for the rooms. */
export const lotNow = (
  code: string,
  { steps, life }: { steps: readonly Standing[]; life: LotLife },
  initials: ReadonlyMap<number, string>,
): Omit<LotNow, 'openHolds'> => ({
  code,
  cureEndedAtMs: life.cureEndedAtMs,
  drainedAtMs: life.drainedAtMs,
  turns: turnsOf(steps, initials, life.pieces.length),
  lastFeel: lastFeelOf(steps),
  pieces: life.pieces.map(({ pieceId: id, placeId, spot, face, stage, sinceMs, outAtMs }) => ({
    id,
    placeId,
    spot,
    face,
    stage,
    sinceMs,
    outAtMs,
  })),
})
