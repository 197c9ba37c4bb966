import { describe, expect, it } from 'vitest'
import { hour, rub, step } from '../fixtures/life-samples'
import { foldStanding, isSound } from './fold-standing'

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
