import { describe, expect, it } from 'vitest'
import { fail } from '#core/result'
import { DEFAULT_NOTATION } from '#core/units/format'
import { HOLD_REASONS } from '../contracts/holds'
import { named } from '../faults/issues'
import { ACCESS } from './refusals/access'
import { hasWords, REFUSALS, wordsFor } from './refusals/catalogue'
import { ENTRIES } from '../faults/entries'
import { holdWords } from './holds'
import { MISSING } from './refusals/missing'
import { OURS } from './refusals/ours'
import { SETTLED } from './refusals/settled'
import { WORK } from './refusals/work'

describe('words', () => {
  it('stand once for a code: no file of the catalogue hides another\'s', () => {
    const files = [ENTRIES, MISSING, SETTLED, ACCESS, OURS, WORK]
    expect(Object.keys(REFUSALS)).toHaveLength(files.reduce((sum, file) => sum + Object.keys(file).length, 0))
  })
  it('are not asked of core or a contract without their figures: such code does not compile', () => {
    const forbidden = [
      // @ts-expect-error core names its figures too
      () => fail('too_light'),
      // @ts-expect-error a contract may name only what needs no figures
      () => named('percent_range'),
    ]
    expect(forbidden).toHaveLength(2)
  })
  it('show a code of another version rather than hide it', () => {
    expect(hasWords('toString')).toBe(false)
    expect(wordsFor('of_tomorrow', {}, DEFAULT_NOTATION)).toBe('Not done (of_tomorrow).')
  })
  it('stand for every hold, in the person\'s units', () => {
    expect(HOLD_REASONS.every(reason => holdWords(reason, DEFAULT_NOTATION).length > 5)).toBe(true)
    expect(holdWords('fridge_warm', { ...DEFAULT_NOTATION, temperature: 'F' })).toBe(
      'fridge above 44.6 °F for over 2 h',
    )
  })
  it('write dates as the person does', () => {
    const params = { code: 'N-0004', name: 'Soy sauce', bestBefore: '2026-03-04' }
    expect(
      (['dmy', 'mdy', 'iso'] as const).map(
        dates => /before (.*?)\. /.exec(wordsFor('ingredient_expired', params, { ...DEFAULT_NOTATION, dates }))![1],
      ),
    ).toEqual(['4 Mar 2026', 'Mar 4, 2026', '2026-03-04'])
  })
  it('say the next step with the figures in the person\'s units', () => {
    const params = { ppm: 212.3, maxPpm: 200, takeOffG: 1.9, addMeatG: 530, source: '9 CFR 424.22(b)' }
    expect(wordsFor('rub_above_limit', params, DEFAULT_NOTATION)).toBe(
      '212 ppm is above the limit of 200 ppm (9 CFR 424.22(b)). Take off 1.9 g of curing salt or add 530 g of meat.',
    )
    expect(wordsFor('rub_above_limit', params, { ...DEFAULT_NOTATION, mass: 'us', decimal: ',' })).toContain(
      '1 lb 2,7 oz of meat',
    )
    expect(wordsFor('rub_above_limit', { ...params, takeOffG: 0.34 }, DEFAULT_NOTATION)).toContain('Take off 0.34 g')
  })
  it('say a figure where it comes from, not beside it', () => {
    expect(wordsFor('brine_too_strong', { mostShare: 0.26395 }, DEFAULT_NOTATION)).toContain('full at 26.4 %')
    expect(wordsFor('salt_only_too_weak', { leastG: 90, leastShare: 0.018 }, DEFAULT_NOTATION)).toContain('Under 1.8 %')
    expect(wordsFor('no_core_reading', { code: 'R-0001', belowC: 30 }, { ...DEFAULT_NOTATION, temperature: 'F' })).toContain(
      '86',
    )
  })
})
