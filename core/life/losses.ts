import { groupBy } from '../lists/group-by'
import type { Lost } from './stayed'
import { byHappening, type Step, type StepOf } from './step'

/**
 * The bag, tub or shelf that each piece lay in when a step was told, with the place it stands in: what is called alike
 * elsewhere is another. Null: it lay loose, or is out of the cure.
 */
function spotsAt(steps: readonly Step[], at: Step): Map<number, string | null> {
  const lying = new Map<number, { placeId: number | null; spot: string | null }>()
  const out = new Set<number>()
  for (const step of steps) {
    if (byHappening(step, at) >= 0) break
    for (const id of step.pieces) {
      const before = lying.get(id) ?? { placeId: null, spot: null }
      const placeId = step.placeId ?? before.placeId
      // Carried elsewhere, it left what it lay in.
      let spot = placeId === before.placeId ? before.spot : null
      if (step.kind === 'rub') spot = step.figures.spots[id] ?? null
      if (step.kind === 'move') spot = step.figures.spot
      if (step.kind === 'out') out.add(id)
      lying.set(id, { placeId, spot: out.has(id) ? null : spot })
    }
  }
  return new Map([...lying].map(([id, { placeId, spot }]) => [id, spot === null ? null : `${placeId} ${spot}`]))
}

/** Of a bag or tub all that lies in it; of what lies loose the pieces that were named. */
function liquidsOf(
  drain: StepOf<'drain'>,
  spots: ReadonlyMap<number, string | null>,
): { spot: string | null; pieces: number[] }[] {
  const named = groupBy(drain.pieces, id => spots.get(id) ?? null)
  return [...named].map(([spot, ids]) => ({
    spot,
    pieces: spot === null ? ids : [...spots].filter(([, other]) => other === spot).map(([id]) => id),
  }))
}

/** A bag holds its liquid until it leaks; a tub that is poured off had it. What drips from a rack never lay with the meat. */
const layWith = (spot: string | null, how: StepOf<'drain'>['figures']['how']): boolean =>
  spot !== null && (/ bag\b/.test(spot) || (/ tub\b/.test(spot) && how === 'poured_off'))

/**
 * Liquid that left a lot's pieces for good by its standing steps, spot by spot. What was poured back did not leave. A
 * draining over several spots counts whole against each: nobody knows from which it ran.
 */
export function lossesOf(steps: readonly Step[]): Lost[] {
  const inOrder = steps.toSorted(byHappening)
  return inOrder.flatMap((step) => {
    if (step.kind !== 'drain' || step.figures.back) return []
    const { how, drained, saltLies, tookSalt = false } = step.figures
    return liquidsOf(step, spotsAt(inOrder, step)).map(({ spot, pieces }) => ({
      atMs: step.fromMs,
      pieces,
      highG: drained?.highG ?? null,
      saltLies,
      tookSalt,
      lay: layWith(spot, how),
    }))
  })
}
