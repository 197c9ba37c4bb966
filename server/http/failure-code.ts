import type { OURS } from '#shared/messages/refusals/ours'

const codeOf = (error: unknown): string =>
  (error as { parent?: { code?: string } }).parent?.code ?? (error as { code?: string }).code ?? ''

/** The way to the database broke off, the server ends, or it does not answer. */
const LINE_LOST
  = /^(ER_SOCKET|ER_CONNECTION|ER_CMD_CONNECTION|ER_SERVER_SHUTDOWN|ER_POOL|ER_STATEMENT_TIMEOUT|ER_LOCK_WAIT_TIMEOUT|ECONN|EPIPE)/
/**
 * A cluster's node that is not ready, or that throws work back while another is dying: it knows no command (1047), breaks
 * off what runs (1317), takes no writes (1290), cannot hand round what is being committed (1180), or still throws back
 * what was tried for seconds.
 */
const NODE_LOST = new Set([
  'ER_UNKNOWN_COM_ERROR', 'ER_QUERY_INTERRUPTED', 'ER_OPTION_PREVENTS_STATEMENT', 'ER_ERROR_DURING_COMMIT', 'ER_LOCK_DEADLOCK',
  'ER_CHECKREAD',
])
const DISK_FULL = new Set(['ER_RECORD_FILE_FULL', 'ER_DISK_FULL', 'ER_ERROR_ON_WRITE', 'ER_TEMP_FILE_WRITE_FAILURE', 'ENOSPC'])

const isLost = (error: unknown): boolean =>
  /^Sequelize(Connection|HostNotReachable|HostNotFound|InvalidConnection)/.test((error as { name?: string }).name ?? '')
  || LINE_LOST.test(codeOf(error))
  || NODE_LOST.has(codeOf(error))

/** All lines for what takes long are in use. */
const isBusy = (error: unknown): boolean =>
  (error as { name?: string }).name === 'SequelizeConnectionAcquireTimeoutError'

/**
 * What a person is told of a failure: that the database is not there and the same may be sent again, that the disk is
 * full, that exports wait, or that it is our fault. `path` is the address that was asked.
 */
export function failureCode(path: string, error: unknown): keyof typeof OURS {
  if (path.startsWith('/api/export') && isBusy(error)) return 'export_busy'
  if (DISK_FULL.has(codeOf(error))) return 'disk_full'
  return isLost(error) ? 'database_lost' : 'our_fault'
}
