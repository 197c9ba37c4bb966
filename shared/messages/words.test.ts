import { readdirSync, readFileSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { describe, expect, it } from 'vitest'
import { DEFAULT_NOTATION } from '#core/units/format'
import { HOLD_REASONS } from '../contracts/holds'
import { hasWords, wordsFor } from './en'
import { holdWords } from './holds'

const ROOT = resolve(import.meta.dirname, '../..')
const sources = ['core', 'server', 'shared/contracts', 'app'].flatMap(folder =>
  readdirSync(join(ROOT, folder), { recursive: true, encoding: 'utf8' })
    .filter(file => /\.(ts|vue)$/.test(file) && !/\.test\.ts$/.test(file))
    .map(file => readFileSync(join(ROOT, folder, file), 'utf8')),
)

const codesIn = (pattern: RegExp) => [
  ...new Set(sources.flatMap(text => [...text.matchAll(pattern)].map(match => match[1]!))),
]

describe('words', () => {
  it('stand for every refusal in the code', () => {
    const codes = [
      ...codesIn(/\b(?:fail|refuse|notFound)\('([a-z0-9_]+)'/g),
      ...codesIn(/error: '([a-z0-9_]+)'/g),
      ...codesIn(/message: '([a-z0-9_]+)'/g),
      'rub_above_limit',
      'rub_limit_not_shown',
      'lot_voided',
      'residual_lab_always',
      'residual_nitrate',
      'residual_no_figure',
      'residual_not_finished',
      'residual_over',
      'clock_ahead',
      'clock_off_database',
    ]
    expect(codes.length).toBeGreaterThan(60)
    expect(codes.filter(code => !hasWords(code))).toEqual([])
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
  it('never print a broken figure', () => {
    const params = {
      netG: 1.98,
      grossG: 100,
      tareG: 200,
      minG: 50,
      maxG: 60_000,
      ppm: 1,
      maxPpm: 2,
      highPpm: 3,
      takeOffG: 1,
      addMeatG: 1,
      leastG: 1,
      carriedG: 1,
      wantedG: 1,
      leftG: 1,
      tempC: 9,
      outG: 1,
      readyG: 1,
      cutG: 1,
      unaccountedG: 1,
      fromG: 1,
      countedG: 1,
      bookG: 1,
      differenceG: 1,
      allowedG: 1,
      min: 0,
      max: 1,
      row: 1,
      greenG: 1,
      saltG: 1,
      wantedPpm: 1,
      count: 2,
      reason: 'cooling_late',
      bytes: 2e6,
      nowMs: 0,
      zone: 'UTC',
      hours: 30,
      share: 0.02,
      plannedShare: 0.02,
      least: 0.01,
      most: 0.06,
      boundPpm: 1,
    }
    for (const code of codesIn(/\b(?:fail|refuse|notFound)\('([a-z0-9_]+)'/g))
      expect(wordsFor(code, params, DEFAULT_NOTATION)).not.toMatch(/NaN|undefined/)
  })
})
