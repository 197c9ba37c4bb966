import { atKey } from '#core/lists/at-key'
import type { FiguresOfStep, StepKind } from '#core/life/kinds/all-kinds'
import type { Grams, Milliseconds } from '#core/units/quantities'
import type { LotLife, PieceLife } from '#core/life/fold'
import type { LotSummary } from '#shared/contracts/lots'
import type { LotNow } from '#shared/contracts/press-answer'
import { pieceTree } from '#core/life/parts'
import { isLeaf } from '../../db/tables/which-pieces'
import { ofParts } from './of-parts'
import { doneSteps } from './done-steps'
import type { Standing } from './standing-steps'

/** What the last look said of how the thickest piece feels; looks in order of happening. */
export function lastFeelOf(looks: readonly { fromAtMs: Milliseconds; figures: unknown }[]): LotSummary['lastFeel'] {
  const said = looks.flatMap(({ fromAtMs: atMs, figures }) => {
    const { feel } = figures as FiguresOfStep['look']
    return feel ? [{ feel, atMs }] : []
  })
  return said.at(-1) ?? null
}

/** Turns as the twine shows them; `initials` of those who told them. */
export const turnsOf = (
  turns: readonly { id: number; fromAtMs: Milliseconds; byId: number; pieces: readonly number[] }[],
  initials: ReadonlyMap<number, string>,
  /** How many pieces the lot has. */
  count: number,
): LotSummary['turns'] =>
  turns.map(({ id, fromAtMs, byId, pieces }) => ({
    id,
    atMs: fromAtMs,
    by: atKey(initials, byId),
    pieces: pieces.length === count ? null : [...pieces],
  }))

const ofKind = (steps: readonly Standing[], kind: StepKind) =>
  steps.flatMap(step => (step.kind === kind ? [{ ...step, fromAtMs: step.fromMs }] : []))

const rowOf = ({ fromMs, toMs, ...step }: Standing) => ({ ...step, fromAtMs: fromMs, toAtMs: toMs })

/** A lot as its steps leave it now, for the rooms. */
export const lotNow = (
  code: string,
  { steps, life, contradictions }: { steps: readonly Standing[]; life: LotLife; contradictions: number },
  initials: ReadonlyMap<number, string>,
  greens: ReadonlyMap<number, Grams>,
): Omit<LotNow, 'openHolds'> => ({
  code,
  cureEndedAtMs: life.cureEndedAtMs,
  drainedAtMs: life.drainedAtMs,
  contradictions,
  ...saidOf(steps, life, initials, greens),
  pieces: life.pieces.filter(isLeaf).map(pieceNow),
})

const pieceNow = ({ pieceId: id, goneWhy, ...life }: PieceLife): LotNow['pieces'][number] => {
  const { placeId, spot, face, stage, sinceMs, outAtMs, layer, stackTurns, goneAtMs } = life
  const gone = { goneAtMs, goneWhy: goneWhy === 'cut' ? null : goneWhy }
  return { id, placeId, spot, face, stage, sinceMs, outAtMs, layer, stackTurns, ...gone }
}

/** What was told, of pieces as they are now: what was done to one that was cut up was done to its parts. */
function saidOf(
  told: readonly Standing[],
  { pieces }: LotLife,
  initials: ReadonlyMap<number, string>,
  greens: ReadonlyMap<number, Grams>,
) {
  const tree = pieceTree(pieces.map(({ pieceId: id, parentId }) => ({ id, parentId })))
  const steps = ofParts(told, tree, greens)
  return {
    turns: turnsOf(ofKind(steps, 'turn'), initials, tree.leaves.length),
    did: doneSteps(steps.map(rowOf), tree.leaves.length),
    lastFeel: lastFeelOf(ofKind(steps, 'look')),
  }
}
