import { expect, it } from 'vitest'
import { outcomeOf } from './outcome'

it('the outcome follows the hottest core', () => {
  expect(outcomeOf(28)).toBe('raw_smoked')
  expect(outcomeOf(63)).toBe('heat_treated')
})
