import { groupBy } from '../lists/group-by'
import type { Lost } from './stayed'
import { byHappening, type Step, type StepOf } from './step'

/** The bag, tub or shelf that each piece lay in when a step was told; null: it lay loose. */
function spotsAt(steps: readonly Step[], at: Step): Map<number, string | null> {
  const spots = new Map<number, string | null>()
  const places = new Map<number, number | null>()
  for (const step of steps) {
    if (byHappening(step, at) >= 0) break
    for (const id of step.pieces) {
      if (step.kind === 'rub') spots.set(id, step.figures.spots[id] ?? null)
      // Carried elsewhere, it left what it lay in.
      else if (step.placeId !== null && step.placeId !== places.get(id)) spots.set(id, null)
      if (step.kind === 'move') spots.set(id, step.figures.spot)
      if (step.placeId !== null) places.set(id, step.placeId)
    }
  }
  return spots
}

/** Of a bag or tub all that lies in it; of what lies loose the pieces that were named. */
function liquidsOf(drain: StepOf<'drain'>, spots: ReadonlyMap<number, string | null>): number[][] {
  const named = groupBy(drain.pieces, id => spots.get(id) ?? '')
  return [...named].map(([spot, ids]) =>
    spot === '' ? ids : [...spots].filter(([, other]) => other === spot).map(([id]) => id),
  )
}

/**
 * Liquid that left a lot's pieces for good by its standing steps, spot by spot. What was poured back did not leave. A
 * draining over several spots counts whole against each: nobody knows from which it ran.
 */
export function lossesOf(steps: readonly Step[]): Lost[] {
  const inOrder = steps.toSorted(byHappening)
  return inOrder.flatMap((step) => {
    if (step.kind !== 'drain' || step.figures.back) return []
    const { drained, saltLies, tookSalt = false } = step.figures
    return liquidsOf(step, spotsAt(inOrder, step)).map(pieces => ({
      atMs: step.fromMs,
      pieces,
      highG: drained?.highG ?? null,
      saltLies,
      tookSalt,
    }))
  })
}
