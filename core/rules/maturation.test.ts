import { expect, it } from 'vitest'
import { MS_PER_DAY } from '../units/quantities'
import { maturationOf } from './maturation'
import { SHIPPED_RULES } from './sets/all-rules'

const rowsOf = (id: string) => SHIPPED_RULES.find(one => one.id === id)!.rows

it('traditional dry cure of the United Kingdom matures four days from the last piece out of the cure', () => {
  const traditional = rowsOf('uk').filter(row => row.choice !== null)
  expect(maturationOf(traditional, [100, 300])).toMatchObject({ days: 4, fromMs: 300 + 4 * MS_PER_DAY })
  // While one piece cures on, nobody can say.
  expect(maturationOf(traditional, [100, null])).toMatchObject({ fromMs: null })
})
it('nothing else asks for it', () => {
  for (const { id, rows } of SHIPPED_RULES)
    expect(maturationOf(rows.filter(row => row.id !== 'uk-traditional'), [0]), id).toBeNull()
})
