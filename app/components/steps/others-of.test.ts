import { describe, expect, it } from 'vitest'
import { othersOf } from './others-of'
import type { Press, PressLot } from '~/logic/press'

const lot = (code: string, pieces: number[] | null = null): PressLot => ({ code, pieces, all: [1, 2, 3] })
const body = (...lots: PressLot[]): Press => ({
  steps: [{ kind: 'turn', how: 'turned', face: null }],
  lots: lots.map(({ code, pieces }) => ({ code, pieces })),
  when: { told: 'now' },
})
const refused = (params: Record<string, string>, code = 'step_contradicts') => ({
  code,
  errors: [{ path: ['lots', 0], code, params, detail: '' }],
})

describe('the rest of a press that was refused', () => {
  it('is the other lots', () => {
    const lots = ['L-0001', 'L-0002', 'L-0003'].map(code => lot(code))
    const rest = othersOf(body(...lots), lots, refused({ code: 'L-0002', unfit: '1 2 3' }))!
    expect(rest.words).toBe('Record the other 2')
    expect(rest.body.lots.map(one => one.code)).toEqual(['L-0001', 'L-0003'])
    expect(othersOf(body(...lots.slice(0, 2)), lots, refused({ code: 'L-0002' }, 'told_already'))!.words).toBe('Record L-0001')
  })
  it('is the other pieces of the one lot', () => {
    const lots = [lot('L-0001')]
    const rest = othersOf(body(...lots), lots, refused({ code: 'L-0001', unfit: '2' }))!
    expect(rest).toMatchObject({ words: 'Record the other 2 pieces', body: { lots: [{ code: 'L-0001', pieces: [1, 3] }] } })
    const chosen = [lot('L-0001', [2, 3])]
    expect(othersOf(body(...chosen), chosen, refused({ code: 'L-0001', unfit: '2' }))!.words).toBe('Record the other piece')
  })
  it('is nothing where no piece is left, where all was told before, or for another refusal', () => {
    const lots = [lot('L-0001')]
    expect(othersOf(body(...lots), lots, refused({ code: 'L-0001', unfit: '1 2 3' }))).toBeNull()
    expect(othersOf(body(...lots), lots, refused({ code: 'L-0001' }, 'told_already'))).toBeNull()
    expect(othersOf(body(...lots), lots, refused({ code: 'L-0001' }, 'drained_over'))).toBeNull()
    expect(othersOf(body(...lots), lots, null)).toBeNull()
  })
})
