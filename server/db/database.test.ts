import { describe, expect, it } from 'vitest'
import { isThrownBack } from './database'

const failed = (code: string, sql: string) => Object.assign(new Error(code), { parent: { code }, sql })

describe('what is tried again', () => {
  it.each([
    ['ER_LOCK_DEADLOCK', 'COMMIT;'],
    ['ER_LOCK_DEADLOCK', 'UPDATE `lots` SET `drained_at` = NULL'],
    ['ER_CHECKREAD', 'SELECT 1'],
    ['ER_DUP_ENTRY', 'INSERT INTO `event_rows` (`event_id`) VALUES (7)'],
    ['ER_NO_REFERENCED_ROW_2', 'INSERT INTO `event_subjects` (`event_id`) VALUES (7)'],
  ])('%s of %s', (code, sql) => expect(isThrownBack(failed(code, sql))).toBe(true))
  it.each([
    ['ER_DUP_ENTRY', 'INSERT INTO `answers` (`client_key`) VALUES (\'a\')'],
    ['ER_NO_REFERENCED_ROW_2', 'INSERT INTO `turns` (`lot_id`) VALUES (9)'],
    ['ER_DISK_FULL', 'COMMIT;'],
  ])('not %s of %s', (code, sql) => expect(isThrownBack(failed(code, sql))).toBe(false))
  it('nor what is no answer of the database', () => {
    expect(isThrownBack(new Error('another'))).toBe(false)
  })
})
