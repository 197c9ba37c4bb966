import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { effectScope, nextTick, ref } from 'vue'
import { useLoaded } from './use-loaded'

const answer = (value: unknown) => new Response(JSON.stringify(value))
const scope = effectScope()
beforeEach(() => vi.stubGlobal('fetch', vi.fn()))
afterEach(() => vi.unstubAllGlobals())
const asked = () => vi.mocked(fetch).mock.calls.map(([path]) => path)
const loaded = (path: Parameters<typeof useLoaded<string>>[0], taken?: (value: string) => void) =>
  scope.run(() => useLoaded<string>(path, { whenAsked: true, ...(taken ? { taken } : {}) }))!

it('what was read stays when it cannot be read again, and the problem is said', async () => {
  const { view, problem, load } = loaded('/x')
  vi.mocked(fetch).mockResolvedValueOnce(answer('first')).mockRejectedValueOnce(new TypeError('no network'))
  await load()
  await load()
  expect(view.value).toBe('first')
  expect(problem.value?.code).toBe('offline')
  vi.mocked(fetch).mockResolvedValueOnce(answer('second'))
  await load()
  expect([view.value, problem.value]).toEqual(['second', null])
})
it('at another address the first answer is gone, and comes no more when it was late; without one nothing is asked', async () => {
  const code = ref<string | null>('L-1')
  const { view, load, loading } = loaded(() => (code.value === null ? null : `/lots/${code.value}`))
  let late!: (response: Response) => void
  vi.mocked(fetch)
    .mockReturnValueOnce(new Promise(resolve => (late = resolve)))
    .mockResolvedValueOnce(answer('two'))
  const first = load()
  code.value = 'L-2'
  await nextTick()
  await vi.waitFor(() => expect(view.value).toBe('two'))
  late(answer('one'))
  await first
  expect(view.value).toBe('two')
  code.value = null
  await nextTick()
  expect([view.value, loading.value]).toEqual([null, false])
  expect(asked()).toEqual(['/lots/L-1', '/lots/L-2'])
})
it('two who ask at once both have the answer when theirs has come', async () => {
  const { view, load } = loaded('/x')
  vi.mocked(fetch).mockImplementation(async () => answer('floor'))
  const seen = await Promise.all([load().then(() => view.value), load().then(() => view.value)])
  expect(seen).toEqual(['floor', 'floor'])
})
it('an answer is taken before it is shown; something else is asked beside it, its refusal said in the same place', async () => {
  const order: unknown[] = []
  const { view, problem, load, ask } = loaded('/x', value => order.push(value, view.value))
  vi.mocked(fetch)
    .mockResolvedValueOnce(answer('new'))
    .mockResolvedValueOnce(answer('older'))
    .mockRejectedValueOnce(new TypeError('no network'))
  await load()
  expect(order).toEqual(['new', null])
  expect([await ask('/y'), problem.value]).toEqual(['older', null])
  expect([await ask('/y'), problem.value?.code, view.value]).toEqual([null, 'offline', 'new'])
})
