import { isWet, type CureMethod } from '#core/cure/cure-method'
import { DRAINED_ASKED_SHARE, HEAVIER_SHARE, SAME_TURN_MS } from '#core/rules/house'
import { isThat, type FiguresOfStep } from '#core/life/kinds/all-kinds'
import type { Step } from '#core/life/step'
import { sumOf } from '#core/lists/sum-of'
import { MS_PER_MINUTE, type Grams, type Milliseconds } from '#core/units/quantities'
import type { StepInput } from '#shared/steps/all-told'
import { refuse, type Refusal, type WriteContext } from '../context'
import type { NewStep } from '../steps/lay-steps'

const sameFigures = (a: unknown, b: unknown): boolean => {
  const told = (figures: unknown) =>
    JSON.stringify(Object.entries(figures as object).filter(([, value]) => value !== null && value !== undefined).toSorted())
  return told(a) === told(b)
}

/** Turned and massaged in one visit are two deeds; turned twice is one that two people told. */
const isSameWay = (kind: Step['kind'], a: unknown, b: unknown): boolean =>
  kind !== 'turn' || (a as FiguresOfStep['turn']).how === (b as FiguresOfStep['turn']).how

/** What went on with a step, by lots of the store. */
interface PutParts {
  parts: readonly { lot: { id: number } }[]
}
/** Something else put on is another deed. */
async function isSamePut({ tables }: WriteContext, stepId: number, { parts }: PutParts): Promise<boolean> {
  const told = await tables.lotIngredients.pick(['ingredientLotId'], { stepId })
  const ids = new Set(told.map(row => row.ingredientLotId))
  return parts.some(part => ids.has(part.lot.id))
}

/** Two tablets, one deed: the same kind told of the same pieces a moment ago. Null when nobody did. */
export async function toldAlready(
  ctx: WriteContext,
  lot: { code: string },
  standing: readonly (Step & { byId: number })[],
  wanted: { kind: Step['kind']; pieces: readonly number[]; atMs: Milliseconds; figures: unknown; put?: PutParts | null | undefined },
): Promise<Refusal | null> {
  const pieces = new Set(wanted.pieces)
  const same = standing.findLast(
    step =>
      step.kind === wanted.kind
      && (!isThat(step.kind, 'observed') || sameFigures(step.figures, wanted.figures))
      && isSameWay(step.kind, step.figures, wanted.figures)
      && Math.abs(step.fromMs - wanted.atMs) < SAME_TURN_MS
      && step.pieces.some(id => pieces.has(id)),
  )
  if (!same || (wanted.put && !(await isSamePut(ctx, same.id, wanted.put)))) return null
  const by = await ctx.tables.users.the({ id: same.byId })
  return refuse('told_already', {
    code: lot.code,
    kind: same.kind,
    who: by.name,
    minutes: Math.round(Math.abs(ctx.nowMs - same.fromMs) / MS_PER_MINUTE),
  })
}

/** Tasted for salt without having been in the water: asked about, and taken where it was so. */
export function refuseFry(
  lot: { code: string },
  step: StepInput,
  before: readonly { kind: Step['kind']; pieces: NewStep['pieces'] }[],
  pieceIds: readonly number[],
): Refusal | null {
  if (step.kind !== 'fry_test' || step.sure) return null
  const wasSoaked = before.some(
    ({ kind, pieces }) => kind === 'soak' && (pieces === 'all' || pieces.some(id => pieceIds.includes(id))),
  )
  return wasSoaked ? null : refuse('fry_without_soak', { code: lot.code })
}

/** A stack is told by the pieces of the press. */
export function refuseOrder(step: StepInput, pieceIds: readonly number[], n: number): Refusal | null {
  const order = 'order' in step ? (step.order ?? []) : []
  return order.every(id => pieceIds.includes(id)) ? null : refuse('no_such_piece', {}, ['steps', n, 'order'])
}

/** More liquid than the meat weighs is a slip; over a share of it is asked about. */
export function refuseDrained(
  lot: { code: string },
  step: Omit<NewStep, 'pieces'>,
  pieces: readonly { greenG: Grams }[],
  sure: boolean,
): Refusal | null {
  if (step.kind !== 'drain') return null
  const { drained } = step.figures as Extract<NewStep, { kind: 'drain' }>['figures']
  if (!drained) return null
  const greenG = sumOf(pieces, piece => piece.greenG)
  const figures = { code: lot.code, drainedG: drained.lowG, greenG }
  if (drained.lowG > greenG) return refuse('drained_over', figures)
  return !sure && drained.lowG > greenG * DRAINED_ASKED_SHARE ? refuse('drained_much', figures) : null
}

/** What hangs gets lighter: heavier than when it was weighed last is asked about. */
export function refuseHeavier(
  lot: { code: string },
  step: StepInput,
  those: readonly { id: number; stage: string | null }[],
  before: readonly Step[],
  atMs: Milliseconds,
): Refusal | null {
  if (step.kind !== 'weigh' || step.sure || !those.some(piece => piece.stage === 'hang')) return null
  const ids = JSON.stringify(those.map(piece => piece.id).toSorted((a, b) => a - b))
  const last = before.findLast(
    one => one.kind === 'weigh' && one.fromMs <= atMs && JSON.stringify(one.pieces.toSorted((a, b) => a - b)) === ids,
  )
  const lastG = last?.kind === 'weigh' ? last.figures.netG : Infinity
  const { netG } = step.weight!
  return netG > lastG * (1 + HEAVIER_SHARE) ? refuse('weighed_above_last', { code: lot.code, netG, lastG }) : null
}

/** Heavier than it can be with all that went on: the tray or the bag was weighed along, and would hide what ran off. */
export function refuseWeighed(
  lot: { code: string; method: CureMethod },
  step: Omit<NewStep, 'pieces'>,
  pieces: readonly { greenG: Grams }[],
  mix: readonly { weighedG: Grams; unweighed: boolean | null }[],
): Refusal | null {
  // Nothing says how heavy a piece can be with more on it than anybody weighed.
  if (step.kind !== 'weigh' || isWet(lot.method) || mix.some(part => part.unweighed)) return null
  const { netG, offG } = step.figures as Extract<FiguresOfStep['weigh'], { what: 'meat' }>
  const mostG = sumOf(pieces, piece => piece.greenG) + sumOf(mix, part => part.weighedG)
  return netG - offG > mostG ? refuse('weighed_more', { code: lot.code, netG, mostG }) : null
}
