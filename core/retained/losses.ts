import { groupBy } from '../lists/group-by'
import type { Milliseconds } from '../units/quantities'
import type { Lost } from './stayed'
import { byHappening, type Step, type StepOf } from '../life/step'

/**
 * What a piece lay in when a step was told, with the place that stands in: what is called alike elsewhere is another.
 */
interface Lying {
  /** The bag, tub or shelf; null: it lay loose, or is out of the cure. */
  spot: string | null
  /** The step by which it left the cure, while what it lay in may still hold its liquid. */
  left: Step | null
}

function lyingAt(steps: readonly Step[], at: Step): Map<number, Lying> {
  const lying = new Map<number, { placeId: number | null; spot: string | null; out: boolean; left: Step | null }>()
  for (const step of steps) {
    if (byHappening(step, at) >= 0) break
    for (const id of step.pieces) {
      const before = lying.get(id) ?? { placeId: null, spot: null, out: false, left: null }
      const placeId = step.placeId ?? before.placeId
      // Carried elsewhere, it left what it lay in.
      let spot = placeId === before.placeId ? before.spot : null
      if (step.kind === 'rub') spot = step.figures.spots[id] ?? null
      if (step.kind === 'move') spot = step.figures.spot
      const out = before.out || step.kind === 'out'
      const left = step.kind === 'out' ? step : isShutAway(step) ? null : before.left
      lying.set(id, { placeId, spot: out ? null : spot, out, left })
    }
  }
  return new Map([...lying].map(([id, { placeId, spot, left }]) => [id, { spot: spot && `${placeId} ${spot}`, left }]))
}

/** What runs together after it is of another bag than the cure's. */
const isShutAway = (step: Step): boolean =>
  (step.kind === 'rest' && step.figures.how !== 'open') || (step.kind === 'flavour' && step.figures.how === 'marinade')

interface Liquid {
  /** The instant until which the liquid was with the meat. */
  atMs: Milliseconds
  spot: string | null
  pieces: number[]
}

/**
 * The pieces that liquid left: all in a bag or tub; of what lies loose those that were named. What is poured off after
 * the cure was left in the bag: of all that lay in it when the first of those named came out.
 */
function liquidsOf(drain: StepOf<'drain'>, steps: readonly Step[]): Liquid[] {
  const lying = lyingAt(steps, drain)
  const leftBy = (id: number) => lying.get(id)?.left ?? null
  const ofLeft = (named: readonly number[]): Liquid[] => {
    const first = named.flatMap(id => leftBy(id) ?? []).toSorted(byHappening)[0]
    if (!first) return []
    const found = together(lyingAt(steps, first), named.filter(id => leftBy(id) === first), first.fromMs)
    const seen = new Set(found.flatMap(liquid => liquid.pieces))
    return [...found, ...ofLeft(named.filter(id => !seen.has(id)))]
  }
  const isLeft = (id: number) => leftBy(id) !== null
  return [...together(lying, drain.pieces.filter(id => !isLeft(id)), drain.fromMs), ...ofLeft(drain.pieces.filter(isLeft))]
}

/** Pieces by what they lie in: with those named all that lies there, too. */
function together(lying: ReadonlyMap<number, Lying>, named: readonly number[], atMs: Milliseconds): Liquid[] {
  const spotOf = (id: number) => lying.get(id)?.spot ?? null
  return [...groupBy(named, spotOf)].map(([spot, ids]) => ({
    atMs,
    spot,
    pieces: spot === null ? ids : [...lying.keys()].filter(id => spotOf(id) === spot),
  }))
}

/**
 * A bag holds its liquid until it leaks; a tub that is poured off had it. What drips from a rack never lay with the
 * meat.
 */
const layWith = (spot: string | null, how: StepOf<'drain'>['figures']['how']): boolean =>
  spot !== null && (/ bag\b/.test(spot) || (/ tub\b/.test(spot) && how === 'poured_off'))

/**
 * Liquid that left a lot's pieces for good by its standing steps, spot by spot. What was poured back did not leave. A
 * draining over several spots counts whole against each: nobody knows from which it ran. Example: 50 g poured off bags
 * 1 and 2 together is 50 g lost in each.
 */
export function lossesOf(steps: readonly Step[]): Lost[] {
  const inOrder = steps.toSorted(byHappening)
  return inOrder.flatMap((step) => {
    if (step.kind !== 'drain' || step.figures.back) return []
    const { how, drained, saltLies, tookSalt = false } = step.figures
    return liquidsOf(step, inOrder).map(({ atMs, spot, pieces }) => ({
      atMs,
      pieces,
      highG: drained?.highG ?? null,
      saltLies,
      tookSalt,
      lay: layWith(spot, how),
    }))
  })
}
