import { randomUUID } from 'node:crypto'
import { pino } from 'pino'
import type { H3Event } from 'h3'

/** One JSON object a line, with time, on the standard output: newlines and control characters in it are escaped. */
export const log = pino({
  base: null,
  timestamp: pino.stdTimeFunctions.isoTime,
  formatters: { level: label => ({ level: label }) },
})

interface DatabaseError {
  name?: string
  parent?: { code?: string; errno?: number; sqlState?: string }
}

/** Frames alone: the first lines of a stack repeat the message. */
const framesOf = (error: unknown): string[] =>
  (error instanceof Error ? (error.stack ?? '') : '')
    .split('\n')
    .filter(line => /^\s+at /.test(line))
    .slice(0, 12)
    .map(line => line.trim())

/**
 * What may stand in a log: of a database's fault its code, because its message repeats the statement with every value.
 */
export function tellable(error: unknown): object {
  const { name, parent } = error as DatabaseError
  if (parent) return { name, code: parent.code, errno: parent.errno, sqlState: parent.sqlState, at: framesOf(error) }
  const { code, sqlState } = error as { code?: string; sqlState?: string }
  return {
    name,
    ...(code ? { code } : {}),
    ...(sqlState ? { sqlState } : { message: error instanceof Error ? error.message : String(error) }),
    at: framesOf(error),
  }
}

/** A number for a request, the same in every line about it. */
const requestId = (event: H3Event): string => String((event.context.requestId ??= randomUUID().slice(0, 8)))

const where = (event: H3Event) => ({
  request: requestId(event),
  method: event.method,
  // The address of a calendar is a secret.
  path: event.path.split('?')[0]!.replace(/^(\/api\/calendar\/).*/, '$1…'),
  user: event.context.userId as number | undefined,
})

export const logFailure = (error: unknown, event?: H3Event): void =>
  log.error({ ...(event ? where(event) : {}), error: tellable(error) }, 'failed')

/** Somebody was kept out. */
export const logRefused = (code: string, event: H3Event): void => log.warn({ ...where(event), code }, 'refused')
