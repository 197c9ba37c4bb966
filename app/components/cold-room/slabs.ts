import { sumOf } from '#core/lists/sum-of'
import type { Layout } from '#core/places/layout'
import type { Stage } from '#core/life/kinds/stage'
import type { LotPiece, LotSummary } from '#shared/contracts/lots'
import type { PlaceView } from '#shared/contracts/places'
import type { LyingGroup } from './lying'

/** A piece as its place draws it. */
export interface Slab {
  id: number
  code: string
  label: string
  stage: Stage | null
  spot: string | null
  layer: number | null
  held: boolean
  /** Said in words for those who do not see it. */
  name: string
}

const STAGE: Record<Stage, string> = {
  cure: 'curing',
  soak: 'in the water',
  dry: 'drying',
  heat: 'in the heat',
  rest: 'resting',
  hang: 'hanging',
}
function slabOf(lot: LotSummary, piece: LotPiece): Slab {
  const { id, label, stage, spot, layer, face, tag } = piece
  const held = lot.heldPieces.includes(id)
  const said = [
    `${lot.code}, piece ${label}`,
    tag && `tagged ${tag}`,
    lot.cut,
    stage && STAGE[stage],
    spot ?? 'nobody said where',
    layer !== null && `${layer} from the bottom`,
    face && `${face} up`,
    held && 'held',
  ]
  return { id, code: lot.code, label, stage, spot, layer, held, name: said.filter(Boolean).join(', ') }
}

/** Slabs of what lies in a place. */
export const slabsOf = ({ curing, others }: LyingGroup): Slab[] =>
  [...curing, ...others].flatMap(({ lot, pieces }) => pieces.map(piece => slabOf(lot, piece)))

const counted = (n: number, one: string): string => `${n} ${one}${n === 1 ? '' : 's'}`

/** "9 pieces; 3 of 24 hooks taken, 4 shelves". */
export function placeWords(
  { hooks, shelves }: Pick<PlaceView, 'hooks' | 'shelves'>,
  layout: Layout<Slab>,
): string {
  const hung = sumOf(layout.hooks, one => one.pieces.length)
  const lain = sumOf([...layout.shelves, ...layout.vessels], one => one.pieces.length)
  const room = [
    hooks !== null && `${hung} of ${counted(hooks, 'hook')} taken`,
    hooks === null && hung > 0 && `${hung} on hooks`,
    shelves !== null && counted(shelves, 'shelf').replace('shelfs', 'shelves'),
  ].filter(Boolean)
  const all = counted(hung + lain + layout.loose.length, 'piece')
  return room.length ? `${all}; ${room.join(', ')}` : all
}
