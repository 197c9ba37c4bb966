import { expect, it } from 'vitest'
import { rub, step } from '../fixtures/life-samples'
import { byHappening } from './step'

it('steps lie in order of happening, those of one instant in the order in which they were told', () => {
  const steps = [step(4, 'turn', 5), step(3, 'look', 9), rub(2), step(1, 'drain', 9)]
  expect(steps.toSorted(byHappening).map(one => one.id)).toEqual([2, 4, 1, 3])
})
