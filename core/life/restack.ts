import type { Stage } from './kinds/stage'
import { nextOrder, stacksOf, type Stacked } from '../turning/stack'
import type { Step } from './step'

interface Lying extends Stacked {
  pieceId: number
  stage: Stage
}

/**
 * How the pieces of a lot lie one on the other after a step, kept with them. A turn of a whole stack brings the next
 * order, unless another was told; turned in part it lies as it lay. What is moved lies on top; what is out of the cure
 * lies in no stack. Changes `lives`.
 */
export function restack(lives: readonly Lying[], step: Step): void {
  if (step.kind === 'rub' && step.figures.stacked)
    for (const [i, life] of of(lives, step).entries()) Object.assign(life, { layer: i + 1, stackTurns: 0 })
  // Most lots lie in none.
  if (!('order' in step.figures) && lives.every(life => life.layer === null)) return
  const order = step.kind === 'turn' || step.kind === 'move' ? step.figures.order : undefined
  for (const life of lives) if (life.stage !== 'cure') Object.assign(life, { layer: null, stackTurns: null })
  if (order) told(lives, order)
  else if (step.kind === 'move') onTop(of(lives, step), lives.length)
  for (const { pieces, turns } of stacksOf(lives)) {
    const turned = step.kind === 'turn' && step.figures.how === 'turned' && pieces.every(({ pieceId }) => step.pieces.includes(pieceId))
    const lies = turned && !order ? nextOrder(pieces, turns + 1) : pieces
    for (const [i, life] of lies.entries()) Object.assign(life, { layer: i + 1, stackTurns: turns + (turned ? 1 : 0) })
  }
}

const of = (lives: readonly Lying[], { pieces }: Step): Lying[] => lives.filter(life => pieces.includes(life.pieceId))

/** Lays pieces in the order that somebody saw; what was not named lies on top. */
function told(lives: readonly Lying[], order: readonly number[]): void {
  for (const life of lives) {
    const at = order.indexOf(life.pieceId)
    if (at >= 0) Object.assign(life, { layer: at + 1, stackTurns: life.stackTurns ?? 0 })
    else if (life.layer !== null) life.layer += order.length
  }
}

function onTop(moved: readonly Lying[], above: number): void {
  for (const life of moved) if (life.layer !== null) life.layer += above
}
