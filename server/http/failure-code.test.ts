import { describe, expect, it } from 'vitest'
import { failureCode } from './failure-code'

const byDatabase = (code: string) => Object.assign(new Error(code), { name: 'SequelizeDatabaseError', parent: { code } })

describe('a failure', () => {
  it.each([
    'ER_SOCKET_UNEXPECTED_CLOSE', 'ER_CONNECTION_KILLED', 'ECONNREFUSED', 'ER_LOCK_WAIT_TIMEOUT',
    // As a cluster's nodes say it while one of them dies.
    'ER_UNKNOWN_COM_ERROR', 'ER_QUERY_INTERRUPTED', 'ER_OPTION_PREVENTS_STATEMENT', 'ER_LOCK_DEADLOCK', 'ER_CHECKREAD',
    'ER_ERROR_DURING_COMMIT',
  ])('%s: the database is not there, and the same may be sent again', (code) => {
    expect(failureCode('/api/steps', byDatabase(code))).toBe('database_lost')
  })
  it('of a disk without room says so', () => {
    expect(failureCode('/api/steps', byDatabase('ER_RECORD_FILE_FULL'))).toBe('disk_full')
  })
  it('of an export that found no line asks to come back, elsewhere the database is not there', () => {
    const busy = Object.assign(new Error('no line'), { name: 'SequelizeConnectionAcquireTimeoutError' })
    expect([failureCode('/api/export/shop', busy), failureCode('/api/floor', busy)]).toEqual(['export_busy', 'database_lost'])
  })
  it.each([byDatabase('ER_NO_SUCH_TABLE'), byDatabase('ER_DUP_ENTRY'), new TypeError('x is not a function'), null])(
    'of any other kind is ours: %s',
    (error) => {
      expect(failureCode('/api/steps', error ?? {})).toBe('our_fault')
    },
  )
})
