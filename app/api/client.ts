import { wordsFor } from '#shared/messages/refusals/catalogue'
import type { Problem } from '#shared/contracts/problem'
import type { Notation } from '#core/units/format'

export type Reply<T> = { ok: true; value: T } | { ok: false; problem: Problem }

const offline = (): Problem => ({
  type: 'urn:veldmoor:problem:offline',
  title: 'Not reached',
  status: 0,
  code: 'offline',
  detail: '',
})

const call = <T>(
  method: string,
  path: string,
  body?: unknown,
  key?: string,
  headers: Record<string, string> = {},
): Promise<Reply<T>> =>
  ask<T>(path, {
    method,
    headers: {
      ...(body === undefined ? {} : { 'content-type': 'application/json' }),
      ...(key ? { 'idempotency-key': key } : {}),
      ...headers,
    },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  })

async function ask<T>(path: string, init: RequestInit): Promise<Reply<T>> {
  let answer: Response
  try {
    answer = await fetch(path, { credentials: 'same-origin', ...init })
  }
  catch {
    // The browser tells no more than that nothing came back.
    return { ok: false, problem: offline() }
  }
  const text = await answer.text()
  if (answer.ok) return { ok: true, value: JSON.parse(text) as T }
  if (answer.headers.get('content-type')?.includes('json')) return { ok: false, problem: JSON.parse(text) as Problem }
  return { ok: false, problem: { ...offline(), status: answer.status, code: 'our_fault' } }
}

export const read = <T>(path: string): Promise<Reply<T>> => call('GET', path)
export const send = <T>(
  method: 'POST' | 'PUT' | 'DELETE',
  path: string,
  body: unknown,
  key?: string,
  headers?: Record<string, string>,
): Promise<Reply<T>> => call(method, path, body, key, headers)

/** A file's bytes as they are. */
export const upload = <T>(path: string, file: Blob): Promise<Reply<T>> => ask<T>(path, { method: 'POST', body: file })

/** A problem in words, in one person's way of writing figures. */
export const problemWords = (problem: Problem, as: Notation): string => {
  const params = problem.errors?.find(error => error.code === problem.code)?.params ?? problem.errors?.[0]?.params
  return problem.code === 'invalid_input' && problem.errors?.[0]
    ? wordsFor(problem.errors[0].code, problem.errors[0].params, as)
    : problem.errors?.length || !problem.detail
      ? wordsFor(problem.code, params, as)
      : problem.detail.replace(/ Nothing was saved\.$/, '')
}
