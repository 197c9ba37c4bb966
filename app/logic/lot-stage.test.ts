import { expect, it } from 'vitest'
import type { LotSummary } from '#shared/contracts/lots'
import { lotStage } from './lot-stage'

const run = { code: 'S-0001', startedAtMs: 1, pulledAtMs: 2, cooled: true, outcome: null, cold: false, pieces: 1 }
const stage = (more: Partial<LotSummary>) =>
  lotStage({
    cureEndedAtMs: 1,
    openHolds: [],
    runs: [],
    packs: 0,
    unsent: 0,
    readyG: 1000,
    leftG: 0,
    ...more,
  } as LotSummary).words

it('follows a lot from the cure to the customer', () => {
  expect(stage({ cureEndedAtMs: null })).toBe('in the cure')
  expect(stage({})).toBe('drying')
  expect(stage({ runs: [{ ...run, pulledAtMs: null, cooled: false }] })).toBe('in the smoke')
  expect(stage({ runs: [{ ...run, cooled: false }] })).toBe('cooling')
  expect(stage({ runs: [run] })).toBe('ready to slice')
  expect(stage({ runs: [run], packs: 5, unsent: 2 })).toBe('packed, 2 in the fridge')
  expect(stage({ runs: [run], packs: 5 })).toBe('all sent')
  expect(stage({ runs: [run], packs: 5, leftG: 400 })).toBe('sent; part not sliced yet')
})
it('a hold comes before everything', () => expect(stage({ openHolds: ['fridge_warm'], packs: 5 })).toBe('held'))
