import { expect, it } from 'vitest'
import { floorLot, NOW } from '#core/fixtures/floor-lot'
import { ZONE } from '#core/fixtures/twine-samples'
import { STARTER_PLANS } from '#core/plan/starters'
import { comingDays } from '#core/today/coming-days'
import { DEFAULT_NOTATION } from '#core/units/format'
import { MS_PER_HOUR } from '#core/units/quantities'
import { inShort } from './in-short'

const shop = (...codes: string[]) => codes.map(code => floorLot({ code }))
const short = (lots: ReturnType<typeof shop>, day: number, nowMs = NOW) =>
  inShort(comingDays(lots, nowMs, ZONE, 7)[day]!, DEFAULT_NOTATION)

it('a day on one line: lots by name, many by number, what is late', () => {
  expect(short(shop('L-0001'), 0)).toEqual(['turn: L-0001'])
  expect(short(shop('L-0001', 'L-0002'), 1)).toEqual(['turn: L-0001 and L-0002'])
  expect(short(shop('L-0001', 'L-0002', 'L-0003'), 0, NOW + 9 * MS_PER_HOUR)).toEqual(['turn: 3 lots, late'])
})
it('ready says that it may come out; that it must is said beside', () => {
  expect(short(shop('L-0001'), 4)).toEqual(['L-0001 ready', 'turn: L-0001'])
  const { end } = STARTER_PLANS.salt_box_day
  const plan = { ...STARTER_PLANS.salt_box_day, end: { ...end, fromDay: 7, toDay: 7 } }
  expect(short([floorLot({ plan: { plan, assumed: false } })], 4)).toContain('take it out: L-0001')
})
