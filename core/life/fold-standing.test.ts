import { describe, expect, it } from 'vitest'
import { hour, rub, step } from '../fixtures/life-samples'
import { foldStanding, isSound, newContradiction } from './fold-standing'

describe('steps that stand', () => {
  it('are all folded where they can be', () => {
    const steps = [rub(), step(2, 'turn', 20), step(3, 'out', 100)]
    expect(foldStanding(steps)).toMatchObject({ leftOut: [], life: { cureEndedAtMs: hour(100) } })
    expect(isSound(steps)).toBe(true)
  })
  it('go on without what cannot be, and say what that was', () => {
    const steps = [rub(), step(2, 'turn', -3), step(3, 'out', 100), step(4, 'turn', 120), step(5, 'look', 130)]
    const { life, leftOut } = foldStanding(steps)
    expect(isSound(steps)).toBe(false)
    expect(leftOut.map(one => one.id)).toEqual([2, 4])
    expect(life.pieces[0]).toMatchObject({ stage: 'dry', face: 'flesh' })
  })
  it('of a lot without any are nothing', () => expect(foldStanding([])).toMatchObject({ life: { pieces: [] } }))
})

describe('a lot whose steps contradict each other already', () => {
  const unsound = [rub(), step(2, 'take', 10, { pieces: [1] }), step(3, 'move', 11, { pieces: [1], placeId: 2 })]
  const after = (...more: ReturnType<typeof step>[]) => newContradiction(unsound, [...unsound, ...more])

  it('names each with the step that it leaves out', () =>
    expect(foldStanding(unsound).contradictions).toMatchObject([
      { code: 'taken', first: { id: 2 }, second: { id: 3 }, pieces: [1] },
    ]))
  it('takes what fits into what counts', () => {
    expect(after(step(4, 'look', 12, { pieces: [2, 3] }))).toBeNull()
    expect(after(step(4, 'turn', 5))).toBeNull()
  })
  it.each([
    ['before its rub', step(4, 'look', -500_000, { pieces: [2] }), 'before_rub', 4],
    ['of what is gone', step(4, 'look', 12, { pieces: [1] }), 'taken', 4],
    ['told late, that makes a step impossible which counts', step(4, 'take', 5, { pieces: [1] }), 'taken', 2],
  ])('refuses one %s', (_name, more, code, second) =>
    expect(after(more)).toMatchObject({ code, second: { id: second } }))
  it('is mended by voiding either, and stays as it is with both', () => {
    for (const id of [2, 3]) {
      const rest = unsound.filter(one => one.id !== id)
      expect(newContradiction(unsound, rest)).toBeNull()
      expect(isSound(rest)).toBe(true)
    }
    expect(newContradiction(unsound, unsound)).toBeNull()
  })
  it('does not let go of what its parts have behind them', () => {
    const cut = step(4, 'cut', 20, {
      pieces: [2],
      figures: { parts: [{ pieceId: 21, netG: 400 }, { pieceId: 22, netG: 500 }], offcuts: [], wholeG: null },
    })
    const withParts = [...unsound, cut, step(5, 'look', 30, { pieces: [21] })]
    const voided = withParts.filter(one => one.id !== 4)
    expect(newContradiction(withParts, voided)).toMatchObject({ code: 'not_yet_cut', second: { id: 5 } })
  })
})
