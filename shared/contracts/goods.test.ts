import { describe, expect, it } from 'vitest'
import { instrumentCheckInput, instrumentInput } from './instruments'
import { faultsIn } from '../../tests/support/faults-in'
import { cuttingInput, deliveryInput, ingredientInput, stockMoveInput } from './store'
import { MOST_LINES } from '../faults/sizes'

const GOOD = { smell: 'good', colour: 'good', fat: 'good', evenness: 'good' }
const line = (more: object = {}) => ({
  supplierLot: 'NF-1',
  cut: 'belly',
  rind: 'off',
  weight: '8 kg',
  temperature: { typed: '2.5', unit: 'C' },
  packDate: '2026-11-20',
  checks: GOOD,
  decision: 'take',
  reason: null,
  ...more,
})
const delivery = (lines: object[], more: object = {}) => ({
  supplier: 'North Farm',
  document: null,
  note: null,
  lines,
  ...more,
})

describe('meat that comes in', () => {
  it('in good order needs no reason', () =>
    expect(faultsIn(deliveryInput, delivery([line(), line({ cut: 'jowl' })]))).toEqual([]))
  it.each([
    ['held without saying why', { decision: 'hold' }],
    ['sent back without saying why', { decision: 'refuse', reason: 'x' }],
    ['taken although something was poor', { checks: { ...GOOD, smell: 'poor' } }],
  ])('%s is refused at its reason', (_what, more) =>
    expect(faultsIn(deliveryInput, delivery([line(), line(more)]))).toEqual(['lines.1.reason:arrival_reason']),
  )
  it('a reason that says something will do', () =>
    expect(faultsIn(deliveryInput, delivery([line({ decision: 'hold', reason: 'sour' })]))).toEqual([]))
  it.each([
    [{ weight: '8 tons' }, 'lines.0.weight:not_a_weight'],
    [{ weight: '3000 kg' }, 'lines.0.weight:too_heavy'],
    [{ temperature: { typed: 'cold', unit: 'C' } }, 'lines.0.temperature:not_a_number'],
    [{ temperature: { typed: '2', unit: 'K' } }, 'lines.0.temperature.unit:not_in_list'],
    [{ packDate: '20.11.2026' }, 'lines.0.packDate:not_a_date'],
    [{ checks: { smell: 'good' } }, 'lines.0.checks.colour:not_in_list'],
    [{ supplierLot: ' ' }, 'lines.0.supplierLot:empty'],
  ])('%j is refused where it is wrong', (more, fault) =>
    expect(faultsIn(deliveryInput, delivery([line(more)]))).toContain(fault),
  )
  it('one cut at least, and no more than a lorry brings', () => {
    expect(faultsIn(deliveryInput, delivery([]))).toEqual(['lines:no_lines'])
    expect(faultsIn(deliveryInput, delivery(Array.from({ length: MOST_LINES + 1 }, () => line())))).toEqual([
      'lines:too_many_lines',
    ])
  })
  it('cutting says from what: a piece of the tree, or so much of the delivery', () => {
    const cut = {
      pieceId: null,
      taken: null,
      kind: 'bone',
      pieces: ['2 kg', '1.9 kg'],
      trim: '120',
      bone: '300 g',
      rind: null,
      note: null,
    }
    expect(faultsIn(cuttingInput, cut)).toEqual(['taken:empty'])
    expect(faultsIn(cuttingInput, { ...cut, taken: '4.4 kg' })).toEqual([])
    expect(faultsIn(cuttingInput, { ...cut, pieceId: 3 })).toEqual([])
    expect(faultsIn(cuttingInput, { ...cut, pieceId: 3, pieces: [] })).toEqual(['pieces:no_pieces'])
  })
})

const certificate = (more: object = {}) => ({
  number: 'C-1',
  nitritePercent: '6.25',
  nitriteAs: 'NaNO2',
  tolerancePercent: '0.25',
  ...more,
})
const goods = (kind: string, more: object = {}) => ({
  kind,
  name: 'Goods',
  supplier: 'Dry Goods',
  supplierLot: '1',
  amount: '1 kg',
  bestBefore: null,
  certificate: null,
  ...more,
})
const curing = (more: object, lot: object = {}) =>
  faultsIn(ingredientInput, goods('curing_salt', { certificate: certificate(more), ...lot }))

describe('what a curing salt\'s certificate says', () => {
  it.each(['6.25', '0.0625', '6,25 %', '6.25%'])('"%s" is 6.25 %%', (nitritePercent) => {
    const read = ingredientInput.parse(goods('curing_salt', { certificate: certificate({ nitritePercent }) }))
    expect(read.certificate).toMatchObject({
      nitritePercent: 0.0625,
      tolerancePercent: 0.0025,
      nitratePercent: 0,
      saltPercent: null,
    })
  })
  it('a blend over 10 % is a slip of the key, nearly pure potassium nitrite is not', () => {
    expect(curing({ nitritePercent: '62.5' })).toEqual(['certificate.nitritePercent:nitrite_too_strong'])
    expect(
      curing({ nitritePercent: '98', nitriteAs: 'KNO2', tolerancePercent: '2' }, { agentKind: 'potassium_nitrite' }),
    ).toEqual([])
  })
  it('none at all is only saltpetre', () => {
    expect(curing({ nitritePercent: '0' })).toEqual(['certificate.nitritePercent:nitrite_missing'])
    expect(
      curing({ nitritePercent: '0', nitratePercent: '100', nitrateAs: 'KNO3' }, { agentKind: 'saltpetre' }),
    ).toEqual([])
  })
  it('its parts are no more than the whole', () => {
    expect(curing({ nitratePercent: '4', saltPercent: '89.75' })).toEqual([])
    expect(curing({ nitratePercent: '4', saltPercent: '95' })).toEqual(['certificate.saltPercent:more_than_whole'])
  })
  it('the shop\'s own mixes are made, never received', () =>
    expect(curing({}, { agentKind: 'mix' })).toEqual(['agentKind:not_in_list']))
})

describe('the rest of the shelf', () => {
  const soy = (more: object) =>
    faultsIn(
      ingredientInput,
      goods('spice', {
        composition: { saltPercent: '16', sugarPercent: '2', waterPercent: '70', allergens: ['soy', 'wheat'], ...more },
      }),
    )
  it('a composite seasoning says what it is made of, and of no more than the whole', () => {
    expect(soy({})).toEqual([])
    expect(soy({ saltPercent: '40' })).toEqual(['composition:more_than_whole'])
    expect(soy({ allergens: ['gravel'] })).toEqual(['composition.allergens.0:not_in_list'])
  })
  it('what is thrown away has a weight and a reason; what is counted may be nothing', () => {
    expect(faultsIn(stockMoveInput, { kind: 'discarded', amount: '20', reason: 'fell into the sink' })).toEqual([])
    expect(faultsIn(stockMoveInput, { kind: 'discarded', amount: '0', reason: '' })).toEqual([
      'amount:not_positive',
      'reason:reason_missing',
    ])
    for (const counted of ['0', '0 g', '0,0 kg'])
      expect(stockMoveInput.parse({ kind: 'count', counted, reason: null })).toMatchObject({
        counted: { typed: counted, netG: 0 },
      })
    expect(faultsIn(stockMoveInput, { kind: 'count', counted: 'none', reason: null })).toEqual(['counted:not_a_weight'])
    expect(faultsIn(stockMoveInput, { kind: 'given away', amount: '1' })).toEqual(['kind:not_in_list'])
  })
})

describe('instruments', () => {
  it('a step in °F is five ninths of one in °C', () => {
    const thermometer = (unit: string) =>
      instrumentInput.parse({ kind: 'thermometer', name: 'Probe', readability: { typed: '0.9', unit }, everyDays: 30 })
    expect(thermometer('C')).toMatchObject({ readability: 0.9 })
    expect(thermometer('F')).toMatchObject({ readability: expect.closeTo(0.5, 12) })
  })
  it('a scale has a job and a division above nothing', () => {
    const scale = { kind: 'scale', name: 'Fine', purpose: 'mix', readabilityG: '0,1', everyDays: 30 }
    expect(instrumentInput.parse(scale)).toMatchObject({ readabilityG: 0.1 })
    expect(faultsIn(instrumentInput, { ...scale, readabilityG: '0' })).toEqual(['readabilityG:number_range'])
    expect(faultsIn(instrumentInput, { ...scale, purpose: 'people', everyDays: 0 })).toEqual([
      'purpose:not_in_list',
      'everyDays:too_small',
    ])
  })
  it('a check weight belongs to scales, ice to thermometers', () => {
    expect(faultsIn(instrumentCheckInput, { method: 'check_weight', reference: '500 g', read: '500.2', note: null })).toEqual([])
    expect(faultsIn(instrumentCheckInput, { method: 'ice_point', read: { typed: '32.2', unit: 'F' }, note: null })).toEqual([])
    expect(faultsIn(instrumentCheckInput, { method: 'ice_point', read: '0.1', note: null })).toEqual(['read:missing'])
    expect(faultsIn(instrumentCheckInput, { method: 'by_eye', note: null })).toEqual(['method:not_in_list'])
  })
})
