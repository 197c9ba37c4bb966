import { expect, it } from 'vitest'
import { remembered } from './remembered'

it('asks once, keeps arguments apart, and keeps no failure', () => {
  let asked = 0
  const sum = remembered((a: number, b: string) => {
    asked += 1
    if (b === 'no') throw new RangeError('no')
    return `${a}${b}`
  })
  expect([sum(1, 'x'), sum(1, 'x'), sum(2, 'x'), sum(1, 'y')]).toEqual(['1x', '1x', '2x', '1y'])
  expect(asked).toBe(3)
  for (const times of [4, 5]) {
    expect(() => sum(1, 'no')).toThrow(RangeError)
    expect(asked).toBe(times)
  }
})
it('does not grow without end', () => {
  let asked = 0
  const same = remembered((n: number) => {
    asked += 1
    return n
  })
  for (let n = 0; n <= 20_000; n += 1) same(n)
  same(0)
  expect(asked).toBe(20_002)
})
