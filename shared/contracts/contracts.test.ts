import { PIECE_RANGE } from '#core/rules/ranges'
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { DEFAULT_NOTATION } from '#core/units/format'
import { wordsFor } from '../messages/refusals/catalogue'
import { correctionInput } from './corrections'
import { anyJson, instantMs, isoDate, name, note, percent, reason, temperature, weight } from '../entry/fields'
import { faultsIn } from '../../tests/support/faults-in'
import { MOST_LOTS_A_PRESS, pressInput } from '../steps/press'
import { faultsOf } from '../faults/issues'
import { rubInput } from './rub'
import { setupInput } from './people'
import { ingredientInput } from './store'

describe('fields', () => {
  it('a weight comes out with what was typed and what it means', () =>
    expect(weight(PIECE_RANGE).parse(' 2450 - 470 ')).toEqual({
      typed: '2450 - 470',
      netG: 1980,
      grossG: 2450,
      tareG: 470,
      readings: 2,
    }))
  it('a bare temperature is kept with its unit', () => {
    expect(temperature().parse({ typed: '38', unit: 'F' })).toEqual({
      typed: '38 °F',
      tempC: expect.closeTo(3.3333, 3),
    })
    expect(temperature().parse({ typed: '38 F', unit: 'C' }).typed).toBe('38 F')
  })
  it('a per cent is a share', () => expect(percent({ min: 0, max: 0.1 }).parse('2,5 %')).toBe(0.025))
  it('a name keeps markup and other scripts as text, and refuses what cannot be printed', () => {
    for (const good of ['<b>Ham</b>', 'Żółć & Söhne', '豚肉', 'O\'Hare']) expect(name().parse(good)).toBe(good)
    expect(faultsIn(name(), '')).toEqual([':empty'])
    expect(faultsIn(name(), '   ')).toEqual([':empty'])
    expect(faultsIn(name(), 'a\u0000b')).toEqual([':control_characters'])
    expect(faultsIn(name(), 'x'.repeat(121))).toEqual([':longer_than'])
  })
  it('a limit of letters, of lines or of minutes says itself', () => {
    const press = { steps: [{ kind: 'rest', minutes: null, how: 'open', placeId: null }], lots: [{ code: 'L-0001', pieces: null }] }
    const told = (more: object) => pressInput.safeParse({ ...press, when: { told: 'now' }, ...more })
    const words = (parsed: ReturnType<typeof told>) =>
      faultsOf(parsed.error!).map(({ code, params }) => wordsFor(code, params, DEFAULT_NOTATION))
    expect(told({}).success).toBe(true)
    const lots = Array.from({ length: MOST_LOTS_A_PRESS + 1 }, (_, i) => ({ code: `L-${1000 + i}`, pieces: null }))
    expect(words(told({ lots }))).toEqual([expect.stringContaining(`more than ${MOST_LOTS_A_PRESS} at a time`)])
    expect(words(told({ lateReason: 'x'.repeat(501) }))).toEqual([expect.stringContaining('longer than 500 letters')])
    expect(words(told({ when: { told: 'ago', minutes: 1441 } }))).toEqual([expect.stringContaining('one day')])
  })
  it('half a character is refused wherever text is typed: no database gives it back', () => {
    for (const half of ['typed \ud83e by mistake', '\udd53 alone', 'a\ud800b']) {
      for (const contract of [name(), note(), reason(), anyJson()])
        expect(faultsIn(contract, half)).toEqual([':ill_formed_text'])
      expect(faultsIn(anyJson(), { deep: [{ [half]: 1 }] })).toEqual([':ill_formed_text'])
      expect(faultsIn(weight(PIECE_RANGE), half)).toContain(':ill_formed_text')
    }
    for (const whole of ['🥓 and rind', '𝒞𝓊𝓇𝑒', 'plain text'])
      for (const contract of [name(), note(), reason()]) expect(contract.parse(whole)).toBe(whole)
  })
  it('no contract takes text another way', () => {
    const folder = import.meta.dirname
    const texts = readdirSync(folder)
      .filter(file => file.endsWith('.ts') && !file.endsWith('.test.ts') && file !== 'fields.ts')
      .map(file => [file, readFileSync(join(folder, file), 'utf8')] as const)
    expect(texts.length).toBeGreaterThan(15)
    expect(
      texts.filter(([, code]) => /z\.(string|json|any|unknown|coerce\.string)\(/.test(code)).map(([file]) => file),
    ).toEqual([])
  })
  it('dates and instants', () => {
    expect(faultsIn(isoDate(), '2026-02-30')).toEqual([':not_a_date'])
    expect(faultsIn(isoDate(), '23/11/2026')).toEqual([':not_a_date'])
    expect(faultsIn(instantMs(), Number.NaN)).toHaveLength(1)
    expect(faultsIn(instantMs(), -1)).toHaveLength(1)
  })
})

describe('messages', () => {
  const lot = {
    cut: 'belly',
    rind: 'off',
    method: 'dry',
    pieces: [{ meatCode: 'M-0001', weight: '2 kg' }],
    meatScaleId: 1,
    mixScaleId: 2,
    targets: { saltShare: '2.5', sugarShare: '1', saltBasis: 'total', nitritePpm: '150' },
    agent: { lotCode: 'N-0001', weighed: '4.8' },
    salt: { lotCode: 'N-0002', weighed: '45' },
    sugar: null,
    thicknessMm: '40',
    readyFromDay: 7,
    bestByDay: 14,
    fridgeId: 1,
    note: null,
  }
  it('a lot that is right', () => expect(faultsIn(rubInput, lot)).toEqual([]))
  it.each([
    [{ agent: null }, ['agent.lotCode:agent_missing']],
    [{ method: 'salt_only' }, ['agent.lotCode:agent_in_salt_only']],
    [{ bestByDay: 6 }, ['bestByDay:best_by_before_ready']],
    [{ thicknessMm: '4' }, ['thicknessMm:number_range']],
    [{ cut: 'ham' }, ['cut:not_in_list']],
    [{ targets: { ...lot.targets, saltShare: '25' } }, ['targets.saltShare:percent_range']],
    [{ pieces: [{ meatCode: '<b>', weight: '-2' }] }, ['pieces.0.meatCode:not_a_code', 'pieces.0.weight:not_positive']],
    [{ salt: { lotCode: 'N-0002', weighed: '' } }, ['salt.weighed:empty']],
    [{ colour: 'pink' }, [':unknown_field']],
  ])('%j is refused where it is wrong', (more, wrong) => expect(faultsIn(rubInput, { ...lot, ...more })).toEqual(wrong))
  it('curing salt brings a certificate, salt none', () => {
    const salt = {
      kind: 'salt',
      name: 'Salt',
      supplier: 'S',
      supplierLot: '1',
      amount: '1 kg',
      bestBefore: null,
      certificate: null,
    }
    expect(faultsIn(ingredientInput, salt)).toEqual([])
    expect(faultsIn(ingredientInput, { ...salt, kind: 'curing_salt' })).toEqual([
      'certificate.number:certificate_missing',
    ])
    const certificate = { number: 'C', nitritePercent: '62.5', nitriteAs: 'NaNO2', tolerancePercent: '0.25' }
    expect(faultsIn(ingredientInput, { ...salt, kind: 'curing_salt', certificate })).toEqual([
      'certificate.nitritePercent:nitrite_too_strong',
    ])
  })
  it('a correction says what, which, to what, and why', () => {
    expect(faultsIn(correctionInput, { what: 'piece_weight', id: 1, value: '2 kg', reason: 'misread' })).toEqual([])
    expect(faultsIn(correctionInput, { what: 'piece_weight', id: 1, value: '2 kg', reason: ' x ' })).toEqual([
      'reason:reason_missing',
    ])
    expect(faultsIn(correctionInput, { what: 'everything', id: 1, value: '2 kg', reason: 'because' })).toEqual([
      'what:not_in_list',
    ])
  })
  it('the first visit wants a real zone and a password', () => {
    const owner = { name: 'A', initials: 'A', signIn: 'Ada ', password: 'long enough it is' }
    const more = { ruleSetId: 'eu', notation: { mass: 'metric', temperature: 'C', decimal: ',', dates: 'dmy' } }
    expect(setupInput.parse({ ...more, shopName: 'S', zone: 'Europe/Lisbon', owner }).owner.signIn).toBe('ada')
    expect(faultsIn(setupInput, { ...more, shopName: 'S', zone: 'Europe/Lisbon', ruleSetId: 'mars', owner })).toEqual([
      'ruleSetId:law_missing',
    ])
    expect(
      faultsIn(setupInput, {
        ...more,
        shopName: 'S',
        zone: 'Mars/Olympus',
        owner: { ...owner, password: 'short', signIn: 'a b' },
      }),
    ).toEqual(['zone:unknown_zone', 'owner.signIn:sign_in_letters', 'owner.password:password_short'])
  })
})
