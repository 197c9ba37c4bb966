import { Sequelize } from 'sequelize'
import { describe, expect, it } from 'vitest'
import { bool, day, grams, instant, int, nullable, text } from '../schema/column'
import { quotingOf } from './quoting'
import { defineModel } from './table'
import { tableSpec, type WhereOf } from '../schema/table-spec'
import { below, between, but, contains, present, since, startsWith } from '../schema/where'

const spec = tableSpec('tubs', {
  name: text(),
  note: nullable(text()),
  massG: grams(),
  filledAtMs: instant(),
  filledOn: day(),
  open: bool(),
  lotId: int(),
})
// Never connected: only its quoting is asked for.
const quoting = quotingOf(defineModel(new Sequelize({ dialect: 'mariadb', timezone: '+00:00', logging: false }), spec))
const NOON = Date.UTC(2026, 10, 26, 12, 0, 0, 7)
const NOON_TEXT = '\'2026-11-26 12:00:00.007\''

describe('what stands after WHERE', () => {
  it.each([
    ['text with a quote', { name: 'O\'Brien' }, '`name` = \'O\\\'Brien\''],
    ['a backslash', { name: '\\' }, '`name` = \'\\\\\''],
    ['nothing', { note: null }, '`note` IS NULL'],
    ['one of a list', { lot_id: [3, 5] }, '`lot_id` IN (3, 5)'],
    ['one of a list that is no number of a row', { lot_id: [3, 1.5] }, '`lot_id` IN (3, 1.5)'],
    ['what is no number at all', { lot_id: '3 OR 1=1' }, '`lot_id` = \'3 OR 1=1\''],
    ['one of none', { lot_id: [] }, '`lot_id` IN (NULL)'],
    ['yes and no', { open: false }, '`open` = false'],
    ['a day', { filled_on: '2026-11-26' }, '`filled_on` = \'2026-11-26\''],
    ['a moment, to the millisecond', { filled_at: NOON }, `\`filled_at\` = ${NOON_TEXT}`],
    ['from a moment on', { filled_at: since(NOON) }, `\`filled_at\` >= ${NOON_TEXT}`],
    ['between moments', { filled_at: between(NOON, NOON) }, `\`filled_at\` BETWEEN ${NOON_TEXT} AND ${NOON_TEXT}`],
    ['smaller', { lot_id: below(40) }, '`lot_id` < 40'],
    ['anything else', { name: but('it\'s') }, '`name` != \'it\\\'s\''],
    ['a beginning', { name: startsWith('L-') }, '`name` LIKE \'L-%\''],
    ['anywhere', { name: contains('5 %') }, '`name` LIKE \'%5 \\\\%%\''],
    ['filled in', { note: present }, '`note` IS NOT NULL'],
    ['two columns', { lot_id: 1, open: true }, '`lot_id` = 1 AND `open` = true'],
  ])('%s', (_what, filter, sql) => {
    expect(quoting.where(filter)).toBe(sql)
  })
})

it('a row to be written: each value by its column', () => {
  const row = { name: '\'; DROP TABLE tubs; --', mass_g: 1980.25, filled_at: new Date(NOON), open: true, lot_id: 7 }
  const sql = quoting.insert('tubs', [row])
  expect(sql).toBe(
    'INSERT INTO `tubs` (`name`,`mass_g`,`filled_at`,`open`,`lot_id`) '
    + `VALUES ('\\'; DROP TABLE tubs; --',1980.25,${NOON_TEXT},true,7)`,
  )
})

it('rows that say not all the same: what one leaves out is nothing', () => {
  const sql = quoting.insert('tubs', [{ lot_id: 7, note: 'a' }, { lot_id: 8, name: 'B', filled_at: NOON }])
  expect(sql).toBe(
    'INSERT INTO `tubs` (`lot_id`,`note`,`name`,`filled_at`) '
    + `VALUES (7,'a',NULL,NULL),(8,NULL,'B',${NOON_TEXT})`,
  )
})

it('a question that the table cannot answer does not compile', () => {
  const forbidden: WhereOf<typeof spec>[] = [
    // @ts-expect-error no such column
    { colour: 'red' },
    // @ts-expect-error grams are a number
    { massG: '1980' },
    // @ts-expect-error a lot's id is never null
    { lotId: null },
    // @ts-expect-error instants are milliseconds
    { filledAtMs: new Date(NOON) },
    // @ts-expect-error a text has no least
    { name: below(4) },
  ]
  expect(forbidden).toHaveLength(5)
})
