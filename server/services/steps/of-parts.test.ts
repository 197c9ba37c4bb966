import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { pieceLosses } from '#core/drying/loss'
import { pieceTree } from '#core/life/parts'
import type { StepKind } from '#core/life/kinds/all-kinds'
import { doneSteps } from './done-steps'
import { ofParts } from './of-parts'

const HOUR = 3_600_000
const step = (kind: StepKind, at: number, pieces: number[], figures: object) =>
  ({ kind, fromAtMs: at * HOUR, toAtMs: at * HOUR, pieces, figures }) as never as Parameters<typeof doneSteps>[0][number]
const meat = (netG: number) => ({ what: 'meat', netG, offG: 0, saltLies: false })
const BORN = [{ id: 1, parentId: null }, { id: 2, parentId: null }, { id: 11, parentId: 1 }, { id: 12, parentId: 1 }]

/** Piece 1 is cut into 11 and 12, with rind of the rest of its green weight. */
function losses(id: number, told: Parameters<typeof doneSteps>[0], greens: ReadonlyMap<number, number>) {
  const tree = pieceTree(BORN)
  const done = doneSteps(ofParts(told, tree, greens), tree.leaves.length)
  const weighed = done.flatMap(one => (one.netG === undefined ? [] : [{ atMs: one.fromMs, netG: one.netG, pieces: one.pieces }]))
  return pieceLosses(id, tree.leaves.map(leaf => ({ id: leaf, greenG: greens.get(leaf)! })), weighed).map(one => one.lost)
}

describe('weights of what was cut up', () => {
  it('carry to its parts: a part had lost the share that the whole had', () => {
    const amount = fc.double({ min: 100, max: 4000, noNaN: true })
    fc.assert(
      fc.property(amount, amount, amount, fc.double({ min: 0, max: 0.5, noNaN: true }), (a, b, rind, lost) => {
        const greens = new Map([[1, a + b + rind], [2, 1000], [11, a], [12, b]])
        const told = [step('weigh', 1, [1], meat((a + b + rind) * (1 - lost)))]
        for (const id of [11, 12]) expect(losses(id, told, greens)[0]).toBeCloseTo(lost, 9)
      }),
    )
  })
  it('and one that lay on the scale with another shares by green weight, whoever was cut up since', () => {
    const greens = new Map([[1, 2000], [2, 1000], [11, 1200], [12, 600]])
    const told = [step('weigh', 1, [1, 2], meat(2400))]
    expect(losses(11, told, greens)[0]).toBeCloseTo(0.2, 9)
    expect(losses(2, told, greens)[0]).toBeCloseTo(0.2, 9)
  })
  it('what a part weighed at its cut was a weighing of it', () => {
    const greens = new Map([[1, 2000], [2, 1000], [11, 1200], [12, 800]])
    const cut = step('cut', 2, [1], { parts: [{ pieceId: 11, netG: 960 }, { pieceId: 12, netG: 640 }], offcuts: [], wholeG: 1600 })
    expect(losses(11, [cut], greens)).toEqual([expect.closeTo(0.2, 9)])
    expect(losses(12, [cut, step('weigh', 3, [12], meat(600))], greens)).toEqual([expect.closeTo(0.2, 9), expect.closeTo(0.25, 9)])
  })
  it('of a part whose green weight is not known yet says nothing', () => {
    const cut = step('cut', 2, [1], { parts: [{ pieceId: 11, netG: 960 }], offcuts: [], wholeG: null })
    expect(ofParts([cut], pieceTree(BORN), new Map([[1, 2000]])).map(one => one.kind)).toEqual(['cut'])
  })
})
