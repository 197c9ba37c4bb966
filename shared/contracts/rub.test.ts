import { MOST_PIECES, MOST_SEASONINGS } from '#core/rules/house'
import { describe, expect, it } from 'vitest'
import { CURE_METHODS } from '#core/cure/cure-method'
import { faultsIn } from '../../tests/support/faults-in'
import { recipeContract, recipeFile } from './recipes'
import { STARTERS } from '../recipes/starters'
import { bulkMixInput, labResultInput, rubInput } from './rub'
import { ownRulesInput, rulesInForceInput } from './rules'

const LOT = {
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
const lot = (more: object) => faultsIn(rubInput, { ...LOT, ...more })
const targets = (more: object) => ({ targets: { ...LOT.targets, ...more } })
const seasoning = (more: object = {}) => ({
  lotCode: 'N-0004',
  weighed: '8',
  per: 'percent',
  amount: '0.4',
  pieces: null,
  ...more,
})
const BRINE = { water: '1 kg', mostPickUp: '12' }

describe('a lot, by every method', () => {
  const NEEDS: Record<(typeof CURE_METHODS)[number], object> = {
    dry: {},
    two_applications: { firstShare: '50' },
    excess: { weighedBack: '120' },
    wet_equilibrium: { water: '1 kg' },
    wet_pick_up: BRINE,
    salt_only: { agent: null, ...targets({ nitritePpm: '0' }) },
  }
  it.each(CURE_METHODS)('%s takes what it needs', method => expect(lot({ method, ...NEEDS[method] })).toEqual([]))
  it.each(CURE_METHODS.filter(method => method !== 'salt_only'))('%s goes without nitrite, when that is said', (method) => {
    const saltOnly = { method, ...NEEDS[method], agent: null }
    expect(lot({ ...saltOnly, ...targets({ nitritePpm: '0' }) })).toEqual([])
    expect(lot(saltOnly)).toEqual(['agent.lotCode:agent_missing'])
  })
  it('and says what is missing', () => {
    expect(lot({ method: 'two_applications' })).toEqual(['firstShare:empty'])
    expect(lot({ method: 'wet_equilibrium' })).toEqual(['water:empty'])
    expect(lot({ method: 'wet_pick_up' })).toEqual(['water:empty', 'mostPickUp:empty'])
    expect(lot({ weighedBack: '100' })).toEqual(['weighedBack:not_excess'])
    expect(lot({ method: 'dust' })).toEqual(['method:not_in_list'])
  })
  it('salt over 6 % is a slip of the key, unless it is put on in excess', () => {
    expect(lot(targets({ saltShare: '7' }))).toEqual(['targets.saltShare:salt_share_high'])
    expect(lot({ method: 'excess', ...targets({ saltShare: '10' }) })).toEqual([])
    expect(lot(targets({ saltShare: '0.5' }))).toEqual(['targets.saltShare:percent_range'])
    expect(lot(targets({ nitritePpm: '-1' }))).toHaveLength(1)
    expect(lot(targets({ nitritePpm: '1e9' }))).toHaveLength(1)
  })
})

describe('pieces and seasonings', () => {
  const pieces = (count: number) => ({
    pieces: Array.from({ length: count }, () => ({ meatCode: 'M-0001', weight: '1 kg' })),
  })
  it('from one piece to four hundred', () => {
    expect(lot(pieces(0))).toEqual(['pieces:no_pieces'])
    expect(lot(pieces(MOST_PIECES))).toEqual([])
    expect(lot(pieces(MOST_PIECES + 1))).toEqual(['pieces:too_many_pieces'])
  })
  it('units may be mixed, weights may carry their tub', () => {
    const read = rubInput.parse({
      ...LOT,
      pieces: ['1.98 kg', '4 lb 6.5 oz', '2450 - 470', '1980'].map(weight => ({ meatCode: 'M-0001', weight })),
    })
    expect(read.pieces.map(piece => [Math.round(piece.weight.netG), piece.weight.readings])).toEqual([
      [1980, 1],
      [1999, 1],
      [1980, 2],
      [1980, 1],
    ])
  })
  it('a flavouring names pieces that are there', () => {
    expect(lot({ ...pieces(2), seasonings: [seasoning({ pieces: [1, 2] })] })).toEqual([])
    expect(lot({ ...pieces(2), seasonings: [seasoning(), seasoning({ pieces: [3] })] })).toEqual([
      'seasonings.1.pieces:piece_not_here',
    ])
    expect(lot({ seasonings: [seasoning({ pieces: [] })] })).toEqual(['seasonings.0.pieces:no_pieces'])
    expect(lot({ seasonings: Array.from({ length: MOST_SEASONINGS + 1 }, () => seasoning()) })).toEqual([
      'seasonings:too_many_seasonings',
    ])
    expect(lot({ seasonings: [seasoning({ per: 'pinch', amount: 'much' })] })).toEqual([
      'seasonings.0.per:not_in_list',
      'seasonings.0.amount:not_a_number',
    ])
  })
  it('shares of the sides are shares, and not all nothing', () => {
    expect(lot({ sides: { flesh: 0.6, fat: 0.3, edges: 0.1 } })).toEqual([])
    expect(lot({ sides: { flesh: 0, fat: 0, edges: 0 } })).toEqual(['sides:sides_empty'])
    expect(lot({ sides: { flesh: 60, fat: 30, edges: 10 } })).toHaveLength(3)
  })
})

describe('what goes with it', () => {
  it('a bulk mix has two parts at least', () => {
    const mix = {
      name: 'House',
      forKg: '30',
      ppm: '150',
      bestBefore: null,
      parts: [
        { lotCode: 'N-0001', weighed: '72' },
        { lotCode: 'N-0002', weighed: '682.5' },
      ],
    }
    expect(faultsIn(bulkMixInput, mix)).toEqual([])
    expect(faultsIn(bulkMixInput, { ...mix, parts: mix.parts.slice(1) })).toEqual(['parts:mix_too_few'])
    expect(faultsIn(bulkMixInput, { ...mix, forKg: '0', ppm: '900' })).toEqual([
      'forKg:number_range',
      'ppm:number_range',
    ])
  })
  it('a laboratory\'s result says whose, which and when', () => {
    const result = { residual: '42', laboratory: 'Hill', report: 'R-9', sampledOn: '2026-11-20' }
    expect(faultsIn(labResultInput, result)).toEqual([])
    expect(faultsIn(labResultInput, { ...result, residual: 'low', report: '', sampledOn: 'yesterday' })).toEqual([
      'residual:not_a_number',
      'report:empty',
      'sampledOn:not_a_date',
    ])
  })
})

describe('recipes', () => {
  const starter = STARTERS[0]!
  it('those that come with the shop are recipes', () =>
    expect(STARTERS.flatMap(recipe => faultsIn(recipeContract, recipe))).toEqual([]))
  it.each([
    ['agent:agent_missing', { agent: null }],
    ['agent:agent_in_salt_only', { method: 'salt_only' }],
    ['days:best_by_before_ready', { days: { readyFrom: 9, bestBy: 8 } }],
    ['sides:sides_empty', { sides: { flesh: 0, fat: 0, edges: 0 } }],
    ['saltShare:too_great', { saltShare: 2.5 }],
    [':unknown_field', { owner: 'me' }],
  ])('%s', (fault, more) => expect(faultsIn(recipeContract, { ...starter, ...more })).toEqual([fault]))
  it('a seasoning is no more than the whole of itself', () => {
    const soy = {
      name: 'Soy',
      per: 'percent',
      amount: 2,
      saltFraction: 0.5,
      sugarFraction: 0.3,
      waterFraction: 0.2,
      allergens: [],
      group: 'all',
    }
    expect(faultsIn(recipeContract, { ...starter, seasonings: [soy] })).toEqual([])
    expect(faultsIn(recipeContract, { ...starter, seasonings: [{ ...soy, waterFraction: 0.4 }] })).toEqual([
      'seasonings.0:more_than_whole',
    ])
  })
  it('a file says what it is', () => {
    const file = { format: 'veldmoor-recipes', version: 1, recipes: [starter] }
    expect(faultsIn(recipeFile, file)).toEqual([])
    expect(faultsIn(recipeFile, { ...file, version: 2 })).toEqual([])
    expect(faultsIn(recipeFile, { ...file, version: 4 })).toEqual(['version:not_a_recipe_file'])
    expect(faultsIn(recipeFile, { ...file, recipes: [] })).toEqual(['recipes:no_recipes'])
  })
})

describe('rule sets of the shop\'s own', () => {
  const row = {
    cutGroup: 'any',
    method: 'any',
    rind: 'any',
    compound: 'nitrite',
    basis: 'ingoing_nano2',
    maxPpm: '150',
    minPpm: null,
    choice: null,
    note: '',
    source: 'Valley code 4',
  }
  const set = (rows: object[]) =>
    faultsIn(ownRulesInput, {
      ruleSetId: null,
      jurisdiction: 'Valley',
      source: 'Valley code',
      textDate: '2026-05-01',
      floorPpm: '90',
      floorSource: 'Valley code 2',
      rows,
    })
  it('has a row on nitrite, each row a figure on its own compound', () => {
    expect(set([row])).toEqual([])
    expect(set([])).toContain('rows:no_rows')
    expect(set([{ ...row, compound: 'nitrate', basis: 'ingoing_nano3' }])).toEqual(['rows:no_rows'])
    expect(set([{ ...row, basis: 'ingoing_nano3' }])).toEqual(['rows.0.basis:basis_of_compound'])
    expect(set([{ ...row, maxPpm: null }])).toEqual(['rows.0.maxPpm:empty'])
    expect(set([{ ...row, basis: 'residual', maxPpm: null }])).toEqual([])
    expect(set([{ ...row, minPpm: '151' }])).toEqual(['rows.0.minPpm:min_above_max'])
  })
  it('a floor above a row\'s limit leaves no room to cure in', () => {
    expect(set([{ ...row, maxPpm: '80' }])).toEqual(['rows.0.maxPpm:floor_above_max'])
    expect(set([{ ...row, maxPpm: '80', minPpm: '60' }])).toEqual([])
    expect(set([{ ...row, maxPpm: '80', method: 'pumped' }])).toEqual([])
    // 80 mg/kg of the ion is 119.98 ppm as NaNO2.
    expect(set([{ ...row, maxPpm: '80', basis: 'ingoing_ion' }])).toEqual([])
  })
  it('the shop\'s target lies inside its own limits', () => {
    const house = (more: object) =>
      faultsIn(rulesInForceInput, { ruleSetId: 'us', targetPpm: '150', floorPpm: null, maxPpm: null, ...more })
    expect(house({})).toEqual([])
    expect(house({ floorPpm: '130', maxPpm: '170' })).toEqual([])
    expect(house({ floorPpm: '151' })).toEqual(['targetPpm:target_outside_house'])
    expect(house({ maxPpm: '149' })).toEqual(['targetPpm:target_outside_house'])
  })
})
