import { KINDS, type StepKind } from '../life/kinds/all-kinds'
import type { PlanSays } from '../life/kinds/plan-says'
import type { Milliseconds } from '../units/quantities'
import type { PlanItem, PlanItemKind } from './plan'

/** A step as a plan asks of it. `pieces`: ids; null: all of the lot. */
export interface DoneStep extends PlanSays {
  kind: StepKind
  fromMs: Milliseconds
  /** Null: it goes on, or until what begins next. */
  toMs: Milliseconds | null
  pieces: readonly number[] | null
}

/** How far pieces are along what a plan holds after the cure. */
export interface Progress {
  /** The item that goes on or comes next; the number of items when all is done. */
  at: number
  /** Since when it goes on; null: not begun. */
  sinceMs: Milliseconds | null
  /** Sessions of this heat that are over. */
  sessions: number
  /** When what came before it was over. */
  freeFromMs: Milliseconds
  /** Items that a later one passed over: shown, no longer asked. */
  passedOver: number[]
  /** The last soak is over, and nobody has tasted since. */
  fryTestFromMs: Milliseconds | null
}

const ITEM_OF: Partial<Record<StepKind, PlanItemKind>> = {
  out: 'rinse',
  soak: 'soak',
  rest: 'rest',
  dry: 'dry',
  flavour: 'flavour',
  heat: 'heat',
  hang: 'hang',
  cut: 'cut',
  slice: 'slice',
}
/** Kinds that can be told; a plan goes on behind any other. */
const TOLD: ReadonlySet<PlanItemKind> = new Set(Object.values(ITEM_OF))
/** The next item from one on that can be told; the number of items when there is none. */
export const nextTold = (then: readonly PlanItem[], from: number): number => {
  const i = then.findIndex((item, n) => n >= from && TOLD.has(item.kind))
  return i < 0 ? then.length : i
}
const counts = ({ kind, rinses }: DoneStep) => kind !== 'out' || (rinses ?? 0) > 0

/** The item that a step carries out: the next of its kind, of its own way before any other. */
function itemOf(then: readonly PlanItem[], at: number, step: DoneStep): number {
  const kind = counts(step) ? ITEM_OF[step.kind] : undefined
  const fits = then.flatMap((item, i) => (i >= at && item.kind === kind ? [i] : []))
  return fits.find(i => 'how' in then[i]! && then[i].how === step.how) ?? fits[0] ?? -1
}

/**
 * Holds what was done to pieces after their cure against their plan: each item is done by the first step of its kind
 * that comes after the item before. Beginning a later one passes over those before it; what the plan does not hold
 * counts for nothing; a slice that tastes too salty opens the soak again. Steps in order of happening, all of the same
 * pieces; a heat is over when all its sessions are.
 */
export function progressOf(then: readonly PlanItem[], outAtMs: Milliseconds, steps: readonly DoneStep[]): Progress {
  const p: Progress = { at: nextTold(then, 0), sinceMs: null, sessions: 0, freeFromMs: outAtMs, passedOver: [], fryTestFromMs: null }
  let hungMs: Milliseconds | null = null
  for (const [n, step] of steps.entries()) {
    if (step.kind === 'fry_test') {
      tasted(p, then, step)
      continue
    }
    const next = steps.slice(n + 1).find(other => KINDS[other.kind].becomes)
    const endMs = step.toMs ?? next?.fromMs ?? null
    if (KINDS[step.kind].becomes) p.fryTestFromMs = step.kind === 'soak' ? endMs : null
    // A rinse is told with the end of the cure, or was none.
    if (step.kind === 'out' && !counts(step) && then[p.at]?.kind === 'rinse') {
      p.passedOver.push(p.at)
      p.at = nextTold(then, p.at + 1)
    }
    const i = hungAgain(p, then, step) ?? itemOf(then, p.at, step)
    if (i < 0) continue
    if (i > p.at) {
      for (let over = p.at; over < i; over += 1) if (TOLD.has(then[over]!.kind)) p.passedOver.push(over)
      p.sessions = 0
    }
    if (step.kind === 'hang') hungMs ??= step.fromMs
    Object.assign(p, { at: i, sinceMs: endMs !== null ? null : step.kind === 'hang' ? hungMs : step.fromMs })
    if (endMs === null) continue
    p.freeFromMs = endMs
    const item = then[i]!
    if (item.kind === 'heat' && p.sessions + 1 < item.sessions) p.sessions += 1
    else Object.assign(p, { at: nextTold(then, i + 1), sessions: 0 })
  }
  return p
}

/**
 * The progress of pieces hung again, on another hook or after a smoke: they hang on, until what comes after was begun;
 * else null.
 */
function hungAgain({ at, sinceMs }: Progress, then: readonly PlanItem[], { kind }: DoneStep): number | null {
  const hang = then.findLastIndex((item, i) => i < at && item.kind === 'hang')
  return kind === 'hang' && sinceMs === null && hang >= 0 && nextTold(then, hang + 1) === at ? hang : null
}

/**
 * What a fried slice says: too salty still, into the water once more, or longer where it lies there yet; good, the soak
 * is over, or was not needed.
 */
function tasted(p: Progress, then: readonly PlanItem[], { verdict, fromMs }: DoneStep): void {
  p.fryTestFromMs = null
  if (then[p.at]?.kind === 'soak') {
    if (verdict === 'done') Object.assign(p, { at: nextTold(then, p.at + 1), sinceMs: null, sessions: 0, freeFromMs: fromMs })
    else if (p.sinceMs !== null) p.sinceMs = fromMs
    return
  }
  const soak = then.findLastIndex((item, i) => i < p.at && item.kind === 'soak')
  if (verdict === 'again' && soak >= 0) Object.assign(p, { at: soak, sinceMs: null, sessions: 0, freeFromMs: fromMs })
}
