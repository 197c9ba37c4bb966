import { Sequelize } from 'sequelize'
import { expect, it } from 'vitest'
import { int } from '../schema/column'
import { defineModel, tableBinder } from './table'
import { tableSpec } from '../schema/table-spec'

it('asks nothing where a list of none lets no row through', async () => {
  const sequelize = new Sequelize({ dialect: 'mariadb', logging: false })
  const asked: string[] = []
  const connection = { query: (text: string) => Promise.resolve(asked.push(text) && []) }
  const told = tableSpec('told', { lotId: int() })
  const table = tableBinder(defineModel(sequelize, told), told)({ connection } as never)
  const none = { lotId: [] }
  expect(await table.find(none)).toEqual([])
  expect(await table.one(none)).toBeNull()
  expect(await table.pick(['lotId'], none)).toEqual([])
  expect(await table.pickEach(['lotId'], { wheres: [none, none] })).toEqual([])
  expect(await table.count(none)).toBe(0)
  expect(await table.sum('lotId', none)).toBe(0)
  expect(await table.totals('lotId', { where: none })).toEqual(new Map())
  expect(asked).toEqual([])
  await table.pickEach(['lotId'], { wheres: [none, { lotId: [7] }] })
  expect(asked).toHaveLength(1)
  expect(asked[0]).toContain('IN (7)')
})
