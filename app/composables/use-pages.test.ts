import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { usePages } from './use-pages'

const answer = (codes: string[], more: boolean) =>
  new Response(JSON.stringify({ rows: codes.map(code => ({ code })), more }))
const path = (before: string | undefined) => `/x?before=${before ?? ''}`
beforeEach(() => vi.stubGlobal('fetch', vi.fn()))
afterEach(() => vi.unstubAllGlobals())

it('asks for the page after the last row, and says when there is no more', async () => {
  const { rows, more, load, older } = usePages(path)
  vi.mocked(fetch)
    .mockResolvedValueOnce(answer(['L-3', 'L-2'], true))
    .mockResolvedValueOnce(answer(['L-1'], false))
  await load()
  await older()
  expect(rows.value.map(row => row.code)).toEqual(['L-3', 'L-2', 'L-1'])
  expect(vi.mocked(fetch).mock.calls.map(([asked]) => asked)).toEqual(['/x?before=', '/x?before=L-2'])
  expect(more.value).toBe(false)
})
it('keeps what was read when a page is lost, and shows no late answer to an older question', async () => {
  const { rows, problem, load, older } = usePages(path)
  vi.mocked(fetch)
    .mockResolvedValueOnce(answer(['L-3'], true))
    .mockRejectedValueOnce(new TypeError('no network'))
  await load()
  await older()
  expect(rows.value.map(row => row.code)).toEqual(['L-3'])
  expect(problem.value?.code).toBe('offline')
  let late!: (response: Response) => void
  vi.mocked(fetch)
    .mockReturnValueOnce(new Promise(resolve => (late = resolve)))
    .mockResolvedValueOnce(answer(['L-9'], false))
  const first = load()
  await load()
  late(answer(['L-8'], true))
  await first
  expect(rows.value.map(row => row.code)).toEqual(['L-9'])
})
