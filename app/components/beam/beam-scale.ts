import { sumOf } from '#core/lists/sum-of'
import type { PpmMeaning } from '#core/cure/cure-method'
import type { Ppm } from '#core/units/quantities'
import type { PpmWithBounds } from '#core/cure/pieces-ppm'

export interface BeamScale {
  maxPpm: Ppm
  ticks: number[]
  x: (ppm: Ppm) => number
  ppm: (x: number) => number
}

/** Steps that a person counts in. */
const STEPS = [10, 20, 25, 50, 100, 200, 250, 500]
const MOST_TICKS = 9
/** Air right of the limit, so that what is above it can be seen hanging there. */
const AIR = 1.14
const FARTHEST = 3

/** The beam's scale over `width` px with `pad` px at both ends: from 0 to past the limit and whatever hangs highest. */
export function beamScale(width: number, pad: number, limitPpm: Ppm, hung: readonly PpmWithBounds[]): BeamScale {
  const highest = Math.max(0, ...hung.map(piece => Math.min(piece.highPpm, limitPpm * FARTHEST)))
  const maxPpm = Math.max(limitPpm, highest) * AIR
  const step = STEPS.find(s => maxPpm / s <= MOST_TICKS) ?? 1000
  const inner = Math.max(1, width - 2 * pad)
  return {
    maxPpm,
    ticks: Array.from({ length: Math.floor(maxPpm / step) + 1 }, (_, i) => i * step),
    x: ppm => pad + (Math.min(Math.max(ppm, 0), maxPpm) / maxPpm) * inner,
    ppm: x => Math.min(Math.max(((x - pad) / inner) * maxPpm, 0), maxPpm),
  }
}

export interface HungWeight {
  number: number
  atX: number
  hookX: number
  row: number
}

const SPACING_PX = 34
const IN_A_ROW = 8

/**
 * Where each weight hangs: from its own ppm on the beam, weights that would touch are fanned out, and more than eight
 * at one place go into rows below.
 */
export function hangWeights(xs: readonly number[], leftX: number, rightX: number): HungWeight[] {
  const clusters = new Map<number, number[]>()
  xs.forEach((x, i) => {
    const near = [...clusters.keys()].find(key => Math.abs(key - x) < SPACING_PX / 2)
    clusters.set(near ?? x, [...(clusters.get(near ?? x) ?? []), i])
  })
  return joined([...clusters.values()], xs, leftX, rightX).flatMap(members =>
    members.map((member, k) => {
      const row = Math.floor(k / IN_A_ROW)
      const half = ((Math.min(IN_A_ROW, members.length - row * IN_A_ROW) - 1) / 2) * SPACING_PX
      const middleX = middleOf(members, xs, leftX, rightX)
      return {
        number: member + 1,
        atX: Math.min(Math.max(middleX, leftX + half), rightX - half) + (k % IN_A_ROW) * SPACING_PX - half,
        hookX: xs[member]!,
        row,
      }
    }),
  )
}

const halfOf = (members: readonly number[]) => ((Math.min(IN_A_ROW, members.length) - 1) / 2) * SPACING_PX
/** Where a cluster hangs: at its mean, kept inside the beam. */
function middleOf(members: readonly number[], xs: readonly number[], leftX: number, rightX: number): number {
  const mean = sumOf(members, m => xs[m]!) / members.length
  return Math.min(Math.max(mean, leftX + halfOf(members)), rightX - halfOf(members))
}

/** Clusters that would touch once they are fanned out become one, until none do. */
function joined(clusters: readonly number[][], xs: readonly number[], leftX: number, rightX: number): number[][] {
  // Whole pixels: dust of doubles must not shuffle pieces of one ppm.
  const inOrder = clusters
    .map(members => members.toSorted((a, b) => Math.round(xs[a]!) - Math.round(xs[b]!) || a - b))
    .toSorted((a, b) => xs[a[0]!]! - xs[b[0]!]!)
  const made: number[][] = []
  for (const cluster of inOrder) {
    let members = cluster
    for (let last = made.at(-1); last; last = made.at(-1)) {
      const gap
        = middleOf(members, xs, leftX, rightX) - halfOf(members) - middleOf(last, xs, leftX, rightX) - halfOf(last)
      if (gap >= SPACING_PX) break
      made.pop()
      members = [...last, ...members]
    }
    made.push(members)
  }
  return made
}

/** Where a weight hangs by all that it may be: over the limit, under the floor, or in. */
export function weightTone(
  piece: PpmWithBounds | undefined,
  { floorPpm, limitPpm, meaning }: { floorPpm: Ppm; limitPpm: Ppm; meaning?: PpmMeaning | undefined },
): 'in' | 'over' | 'under' {
  if (!piece) return 'in'
  if (piece.highPpm > limitPpm) return 'over'
  return (meaning === 'upper_bound' ? piece.ppm : piece.lowPpm) < floorPpm ? 'under' : 'in'
}

/** How much lower than what went in the least that stayed must lie before a weight shows a second end. */
const END_FROM_PPM: Ppm = 1

/**
 * The other end of each weight, ppm: the least that stayed, where it lies below what went in at its lowest; null where
 * it does not, or is not shown. `least` may be shorter.
 */
export const secondEnds = (lowPpm: readonly Ppm[], least: readonly (Ppm | null)[]): (Ppm | null)[] =>
  lowPpm.map((low, i) => {
    const leastPpm = least[i] ?? null
    return leastPpm !== null && leastPpm < low - END_FROM_PPM ? leastPpm : null
  })
