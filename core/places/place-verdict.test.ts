import { describe, expect, it } from 'vitest'
import { FRIDGE_CHECKS } from '../rules/house'
import { isReadDaily, lyingIn } from './daily'
import { PLACE_KINDS, takesMeat, USUAL_USES } from './place-kind'
import { coldLimitC, placeVerdict } from './place-verdict'

const fridge = { kind: 'fridge', can: null } as const
describe('a place by its last reading', () => {
  it.each([
    [null, 'no_reading'],
    [-1.2, 'too_cold'],
    [FRIDGE_CHECKS.tooColdC, 'cold_enough'],
    [FRIDGE_CHECKS.warn.aboveC, 'cold_enough'],
    [4.5, 'warm'],
    [FRIDGE_CHECKS.hold.aboveC, 'warm'],
    [7.1, 'too_warm'],
  ])('%s °C: %s', (tempC, verdict) => expect(placeVerdict(fridge, tempC, true)).toBe(verdict))
  it('is no trouble while nothing lies in it, nor where meat hangs by its own plan', () => {
    expect(placeVerdict(fridge, 12, false)).toBe('empty')
    expect(placeVerdict({ kind: 'drying_room', can: null }, 13, true)).toBe('own_plan')
    expect(placeVerdict({ kind: 'drying_room', can: ['cold'] }, 13, true)).toBe('too_warm')
  })
  it('the limit is 4.4 °C by US practice and for rules of the shop\'s own, elsewhere 5', () =>
    expect(['us', 'own-1', 'uk', 'eu', 'ca', 'anz'].map(coldLimitC)).toEqual([4.4, 4.4, 5, 5, 5, 5]))
})

describe('places', () => {
  it('each kind is for something, and what only heats takes no meat by hand', () => {
    for (const kind of PLACE_KINDS) expect(USUAL_USES[kind].length).toBeGreaterThan(0)
    expect(PLACE_KINDS.filter(kind => !takesMeat({ kind, can: null }))).toEqual(['oven', 'water_bath'])
  })
  it('are read daily: cold ones always, others while something lies in them', () => {
    const read = (occupied: boolean) => PLACE_KINDS.filter(kind => isReadDaily({ kind, can: null }, occupied))
    expect(read(false)).toEqual(['fridge', 'cold_room'])
    expect(read(true)).toEqual(['fridge', 'cold_room', 'garage', 'drying_room', 'smoker', 'freezer'])
  })
  it('what is heated there does not lie there', () => {
    const piece = (stage: 'cure' | 'heat') => ({ placeId: 3, stage })
    expect(lyingIn(3, [piece('cure'), piece('heat'), { placeId: 4, stage: 'cure' as const }])).toEqual([piece('cure')])
  })
})
