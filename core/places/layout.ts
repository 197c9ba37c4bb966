import { groupBy } from '../lists/group-by'

/** A piece as a drawing of its place asks for it. */
export interface Spotted {
  id: number
  /** "hook 4", "shelf 2", "tub A"; null: nobody said. */
  spot: string | null
  /** Where it lies in its stack, 1 at the bottom. */
  layer: number | null
}
export const VESSELS = ['tub', 'bag', 'rack', 'stack', 'other'] as const
export type Vessel = (typeof VESSELS)[number]

/** How what is in a place hangs, lies and stands. Every piece is in it once. */
export interface Layout<P> {
  /** Hooks by number from 1, the empty ones too; as many as the place has, or as were named. */
  hooks: { hook: number; pieces: P[] }[]
  /** Shelves from the top, 1, downwards. */
  shelves: { shelf: number; pieces: P[] }[]
  /** What stands there with pieces in it, by name. A stack from the bottom up. */
  vessels: { name: string; vessel: Vessel; pieces: P[] }[]
  /** Pieces of which nobody said where they are. */
  loose: P[]
}

/** The most hooks and shelves that are all drawn; of more, only those with something on them. House. */
export const MOST_DRAWN = { hooks: 24, shelves: 12 }

const numbered = (spot: string, what: 'hook' | 'shelf'): number | null => {
  const found = new RegExp(`^${what}\\s*(\\d{1,3})$`, 'i').exec(spot.trim())
  return found ? Number(found[1]) : null
}
const vesselOf = (spot: string, pieces: readonly Spotted[]): Vessel => {
  if (pieces.some(piece => piece.layer !== null)) return 'stack'
  return VESSELS.find(vessel => new RegExp(`^${vessel}\\b`, 'i').test(spot.trim())) ?? 'other'
}

/**
 * One row for each number from 1 to the last, in order, with what bears that number; of too many those that bear any.
 */
function rowsOf<P>(count: number, byNumber: ReadonlyMap<number, P[]>, most: number): [number, P[]][] {
  const last = Math.max(count, ...byNumber.keys(), 0)
  if (last > most) return [...byNumber].toSorted(([a], [b]) => a - b)
  return Array.from({ length: last }, (_, i) => [i + 1, byNumber.get(i + 1) ?? []])
}

/**
 * Lays pieces of a place out by their spots. `shelves` and `hooks`: how many the place has; null: nobody counted.
 */
export function layoutOf<P extends Spotted>(
  place: { shelves: number | null; hooks: number | null },
  pieces: readonly P[],
): Layout<P> {
  const onHook = new Map<number, P[]>()
  const onShelf = new Map<number, P[]>()
  const standing: P[] = []
  for (const piece of pieces) {
    const spot = piece.spot ?? ''
    const [hook, shelf] = [numbered(spot, 'hook'), numbered(spot, 'shelf')]
    if (hook !== null) onHook.set(hook, [...(onHook.get(hook) ?? []), piece])
    else if (shelf !== null) onShelf.set(shelf, [...(onShelf.get(shelf) ?? []), piece])
    else standing.push(piece)
  }
  const vessels = [...groupBy(standing.filter(piece => piece.spot !== null), piece => piece.spot!).entries()]
  return {
    hooks: rowsOf(place.hooks ?? 0, onHook, MOST_DRAWN.hooks).map(([hook, here]) => ({ hook, pieces: here })),
    shelves: rowsOf(place.shelves ?? 0, onShelf, MOST_DRAWN.shelves).map(([shelf, here]) => ({ shelf, pieces: here })),
    vessels: vessels
      .map(([name, here]) => ({
        name,
        vessel: vesselOf(name, here),
        pieces: here.toSorted((a, b) => (a.layer ?? 0) - (b.layer ?? 0)),
      }))
      .toSorted((a, b) => a.name.localeCompare(b.name, 'en', { numeric: true })),
    loose: standing.filter(piece => piece.spot === null),
  }
}
