import { CURING_SALT_NO_1 } from '#core/cure/agent'
import { US_RULES } from '#core/rules/sets/us-rules'
import type { BenchView } from '#shared/contracts/lots'
import type { IngredientKind, IngredientView } from '#shared/contracts/store'

/** A lot of the Store with a kilogram left of it. */
export const lot = (code: string, kind: IngredientKind, more: Partial<IngredientView> = {}): IngredientView => ({
  code,
  kind,
  name: kind,
  supplier: 'S',
  supplierLot: '1',
  amountG: 1000,
  usedG: 0,
  bestBefore: null,
  certificate: kind === 'curing_salt' ? 'C-1' : null,
  agent: kind === 'curing_salt' ? CURING_SALT_NO_1 : null,
  leftG: 1000,
  certificateFile: null,
  openedAtMs: null,
  receivedAtMs: 0,
  agentKind: kind === 'curing_salt' ? 'no_1' : null,
  composition: { saltFraction: kind === 'salt' ? 1 : 0, sugarFraction: kind === 'sugar' ? 1 : 0, waterFraction: 0 },
  allergens: [],
  iodised: false,
  parts: [],
  spicedOn: null,
  ...more,
})

/** A shop under the United States rules, with one used-up curing salt. */
export const VIEW: BenchView = {
  shop: {
    name: 'S',
    zone: 'UTC',
    houseTargetPpm: 150,
    house: { floorPpm: null, maxPpm: null },
    ruleSetId: 'us',
    turnEveryDays: 1,
    turnBy: '18:00',
    confirmed: null,
    labAlways: null,
    mouldPolicy: null,
  },
  rules: US_RULES,
  meat: [],
  ingredients: [
    lot('N-0009', 'curing_salt', { leftG: 0 }),
    lot('N-0001', 'curing_salt'),
    lot('N-0002', 'salt'),
    lot('N-0003', 'sugar'),
  ],
  scales: [
    { id: 1, name: 'M', purpose: 'meat', readabilityG: 5, state: 'checked' },
    { id: 2, name: 'F', purpose: 'mix', readabilityG: 0.1, state: 'checked' },
    { id: 3, name: 'K', purpose: 'mix', readabilityG: 1, state: 'checked' },
  ],
  places: [{ id: 7, code: 'F-0007', name: 'Cold room', kind: 'cold_room', uses: ['cold', 'hang'], inUse: true }],
  recipes: [],
  cards: [],
  yields: {},
  today: '2026-11-23',
}
