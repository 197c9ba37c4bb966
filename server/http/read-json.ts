import { getRequestHeader, type H3Event } from 'h3'
import { refuse, type Answer } from '../services/context'
import { readBody } from './read-body'

export const LARGEST_BODY_BYTES = 2_000_000
/** The largest body at the door, where nobody is known yet: names and passwords are short. */
export const LARGEST_DOOR_BYTES = 10_000
/** What is typed is kept as JSON in the book's answers, and MariaDB reads no deeper than 32. */
const DEEPEST = 25

/**
 * True when lists and objects lie inside each other deeper than any message of ours. Looked at in the text: no reader
 * is to go so deep.
 */
export function isDeep(text: string): boolean {
  let depth = 0
  let quoted = false
  for (let i = 0; i < text.length; i++) {
    const sign = text[i]
    if (quoted) {
      if (sign === '\\') i += 1
      else if (sign === '"') quoted = false
    }
    else if (sign === '"') quoted = true
    else if (sign === '[' || sign === '{') {
      depth += 1
      if (depth > DEEPEST) return true
    }
    else if (sign === ']' || sign === '}') depth -= 1
  }
  return false
}

/** The body as JSON, or the code of what is wrong with it. */
export async function readJsonBody(event: H3Event, mostBytes = LARGEST_BODY_BYTES): Promise<Answer<unknown>> {
  const has
    = getRequestHeader(event, 'transfer-encoding') !== undefined
      || Number(getRequestHeader(event, 'content-length') ?? 0) > 0
  if (has && !/^application\/json\b/i.test(getRequestHeader(event, 'content-type') ?? ''))
    return refuse('not_json_type')
  const body = await readBody(event, mostBytes)
  if (body === null) return refuse('too_large', { bytes: mostBytes })
  const text = body.toString('utf8')
  if (isDeep(text)) return refuse('too_deep')
  try {
    return { ok: true, value: JSON.parse(text || '{}') }
  }
  catch {
    return refuse('not_json')
  }
}
