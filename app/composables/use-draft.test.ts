import { nextTick } from 'vue'
import { beforeEach, expect, it, vi } from 'vitest'
import { useDraft } from './use-draft'

const kept = new Map<string, string>()
beforeEach(() => {
  kept.clear()
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => kept.set(key, value),
    removeItem: (key: string) => kept.delete(key),
  })
})
const form = () => useDraft('form', () => ({ weight: '', pieces: [] as string[] }))

it('what is typed is there again after a reload', async () => {
  const { draft } = form()
  draft.value.weight = '4 lb 6.5 oz'
  draft.value.pieces.push('1980')
  await nextTick()
  expect(form().draft.value).toEqual({ weight: '4 lb 6.5 oz', pieces: ['1980'] })
})
it('is gone once it was saved', async () => {
  const { draft, clear } = form()
  draft.value.weight = '2 kg'
  await nextTick()
  clear()
  await nextTick()
  expect(form().draft.value).toEqual({ weight: '', pieces: [] })
})
it('two forms do not mix, and a new field of a form is not lost on an old draft', async () => {
  const { draft } = form()
  draft.value.weight = '2 kg'
  await nextTick()
  expect(useDraft('other', () => ({ weight: '' })).draft.value.weight).toBe('')
  expect(useDraft('form', () => ({ weight: '', pieces: [] as string[], note: 'none' })).draft.value).toEqual({
    weight: '2 kg',
    pieces: [],
    note: 'none',
  })
})
it('an unreadable draft is set aside, not thrown away', () => {
  kept.set('veldmoor-draft:form', '{"weight": "2 k')
  expect(form().draft.value.weight).toBe('')
  expect(kept.get('veldmoor-draft:form:unreadable')).toBe('{"weight": "2 k')
})
