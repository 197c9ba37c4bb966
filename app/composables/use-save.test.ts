import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { z } from 'zod'
import { fridgeReadingInput } from '#shared/contracts/cold-room'
import { useSave } from './use-save'

const body = { temperature: { typed: '3.4', unit: 'C' } }
const answer = (status: number, json: unknown) =>
  new Response(JSON.stringify(json), {
    status,
    headers: { 'content-type': status < 300 ? 'application/json' : 'application/problem+json' },
  })
const keys = () =>
  vi.mocked(fetch).mock.calls.map(([, init]) => (init!.headers as Record<string, string>)['idempotency-key'])

beforeEach(() => {
  setActivePinia(createPinia())
  vi.stubGlobal('fetch', vi.fn())
})
afterEach(() => vi.unstubAllGlobals())

describe('one save button', () => {
  it('asks nothing of the server while the contract refuses, and says where', async () => {
    const { save, errorAt, message } = useSave(fridgeReadingInput)
    expect(await save('/x', { temperature: { typed: 'warm', unit: 'C' } })).toBeNull()
    expect(fetch).not.toHaveBeenCalled()
    expect(errorAt('temperature')).toContain('not a number')
    expect(message.value).toContain('all you typed is still here')
  })
  it('counts the fields that are marked, not the rules they broke', async () => {
    const { save, faults, message } = useSave(
      z.strictObject({ weight: z.string().min(3).regex(/g$/), scale: z.string().min(1) }),
    )
    await save('/x', { weight: '4', scale: '' })
    expect(faults.value).toHaveLength(3)
    expect(message.value).toContain('2 entries need another look')
    await save('/x', { weight: '4', scale: 'small' })
    expect(message.value).toContain('One entry needs another look')
  })
  it('keeps its key until an answer is sure, then takes another', async () => {
    const { save, message } = useSave(fridgeReadingInput)
    vi.mocked(fetch)
      .mockRejectedValueOnce(new TypeError('no network'))
      .mockResolvedValueOnce(answer(200, { ok: 1 }))
      .mockResolvedValueOnce(answer(200, { ok: 2 }))
    expect(await save('/x', body)).toBeNull()
    expect(message.value).toContain('cannot be reached')
    expect(await save('/x', body)).toEqual({ ok: 1 })
    expect(await save('/x', body)).toEqual({ ok: 2 })
    const [lost, sure, next] = keys()
    expect(sure).toBe(lost)
    expect(next).not.toBe(lost)
  })
  it('shows the server\'s fault beside its field, worded for the person', async () => {
    const { save, errorAt, message } = useSave()
    vi.mocked(fetch).mockResolvedValueOnce(
      answer(422, {
        status: 422,
        code: 'rub_above_limit',
        detail: '',
        errors: [
          {
            path: ['agent', 'weighed'],
            code: 'rub_above_limit',
            params: { ppm: 212, maxPpm: 200, source: 'rule', takeOffG: 1.9, addMeatG: 530 },
          },
        ],
      }),
    )
    await save('/api/lots', {})
    expect(errorAt('agent.weighed')).toContain('Take off 1.9 g')
    expect(errorAt('agent')).toContain('Take off')
    expect(errorAt('salt')).toBeUndefined()
    expect(message.value).toContain('212 ppm is above the limit of 200 ppm')
  })
  it('does not take a page of markup for an answer', async () => {
    const { save, message } = useSave()
    vi.mocked(fetch).mockResolvedValueOnce(new Response('<html>', { status: 502 }))
    expect(await save('/x', {})).toBeNull()
    expect(message.value).toContain('went wrong on our side')
  })
  it('a second press while the first is on its way sends nothing', async () => {
    const { save } = useSave()
    let release = (_: Response) => {}
    vi.mocked(fetch).mockReturnValueOnce(
      new Promise<Response>((done) => {
        release = done
      }),
    )
    const first = save('/x', {})
    expect(await save('/x', {})).toBeNull()
    release(answer(200, { done: true }))
    expect(await first).toEqual({ done: true })
    expect(fetch).toHaveBeenCalledTimes(1)
  })
})
