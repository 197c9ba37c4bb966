import { getRequestHeader, readRawBody, type H3Event } from 'h3'
import { refuse, type Answer } from '../services/context'

const LARGEST_BODY_BYTES = 2_000_000

/** The body as JSON, or the code of what is wrong with it. */
export async function readJson(event: H3Event): Promise<Answer<unknown>> {
  if (Number(getRequestHeader(event, 'content-length') ?? 0) > LARGEST_BODY_BYTES) return refuse('too_large', { bytes: LARGEST_BODY_BYTES })
  const raw = await readRawBody(event) ?? ''
  if (raw.length > LARGEST_BODY_BYTES) return refuse('too_large', { bytes: LARGEST_BODY_BYTES })
  try {
    return { ok: true, value: JSON.parse(raw || '{}') }
  }
  catch {
    return refuse('not_json')
  }
}
