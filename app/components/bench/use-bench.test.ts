import { describe, expect, it } from 'vitest'
import { ref } from 'vue'
import { CURING_SALT_NO_1 } from '#core/cure/agent'
import { SHIPPED_RULES } from '#core/rules/sets/all-rules'
import type { BenchView } from '#shared/contracts/lots'
import { rubInput } from '#shared/contracts/rub'
import { STARTERS } from '#shared/recipes/starters'
import { lot, VIEW } from '../../../tests/support/bench-view'
import { applyRecipe } from './apply-recipe'
import { emptyBench, type BenchDraft } from './bench-draft'
import { useBench } from './use-bench'

const bench = (more: Partial<BenchDraft>, view = VIEW) => {
  const draft = ref<BenchDraft>({ ...emptyBench(), meatCode: 'M-0001', ...more })
  return { draft, ...useBench(draft, ref(view)) }
}
const pieces = (...weights: string[]) => weights.map(weight => ({ meatCode: 'M-0001', weight }))

describe('the Bench, from what is typed', () => {
  it('adds pieces in any units, and leaves out what is no weight', () => {
    const { greenG, pieces: shown } = bench({ pieces: pieces('4 lb 6.5 oz', '2450 - 470', 'two kilos') })
    expect(greenG.value).toBeCloseTo(4 * 453.59237 + 6.5 * 28.349523125 + 1980, 9)
    expect(shown.value.map(piece => piece.parsed !== null)).toEqual([true, true, false])
  })
  it('shares every ingredient by weight, and the shares add up', () => {
    const { plan, shares } = bench({ pieces: pieces('1 kg', '3 kg') })
    if (!plan.value?.ok) throw new Error('no plan')
    const made = plan.value.value
    for (const key of ['mixG', 'agentG', 'saltG', 'sugarG'] as const)
      expect(shares.value.reduce((sum, share) => sum + share[key], 0)).toBeCloseTo(made[key], 9)
    expect(shares.value[1]!.mixG / shares.value[0]!.mixG).toBeCloseTo(3, 9)
  })
  it('judges the plan, then what was really weighed', () => {
    const { draft, planned, weighed } = bench({ pieces: pieces('1840', '2 kg') })
    expect(planned.value?.status).toBe('inside')
    expect(weighed.value).toBeNull()
    draft.value.agent.weighed = '13'
    expect(weighed.value).toBeNull()
    draft.value.salt.weighed = '87,4'
    expect(weighed.value?.status).toBe('above_limit')
    draft.value.agent.weighed = '9.2'
    expect(weighed.value?.status).toBe('inside')
    draft.value.rind = 'on'
    expect(weighed.value?.row.maxPpm).toBe(180)
  })
  it('a salt-only lot hangs nothing on the beam and weighs no curing salt', () => {
    const { planned, plan, body } = bench({ pieces: pieces('2 kg'), method: 'salt_only' })
    expect(planned.value).toMatchObject({ status: 'no_nitrite', lot: null, pieces: [] })
    expect(plan.value).toMatchObject({ value: { agentG: 0, saltG: 50 } })
    expect(body.value.agent).toBeNull()
  })
  it('takes ingredients that are left, and the scale that was chosen', () => {
    const { agentLot, draft, plan } = bench({ pieces: pieces('1840') })
    expect(agentLot.value?.code).toBe('N-0001')
    draft.value.mixScaleId = 3
    expect(plan.value).toMatchObject({ value: { agentG: 4 } })
  })
  it('says that the curing salt alone is too salty instead of weighing less than nothing', () => {
    const { plan } = bench({ pieces: pieces('2 kg'), saltShare: '0.1', targetPpm: 200 })
    expect(plan.value).toMatchObject({ ok: false, code: 'salt_already_exceeded' })
  })
  it('waits from the thickness until ready, unless the maker says a day', () => {
    const { span, body, draft } = bench({ pieces: pieces('2 kg'), thickness: '60' })
    expect(body.value.readyFromDay).toBe(span.value.readyFromDay)
    expect(span.value.readyFromDay).toBeGreaterThan(7)
    draft.value.readyFromDay = 9
    expect(body.value.readyFromDay).toBe(9)
  })
  it('sends what the contract takes', () => {
    const { body } = bench({
      pieces: pieces('1840', '2 kg'),
      agent: { lotCode: '', weighed: '9.2' },
      salt: { lotCode: '', weighed: '87.4' },
      sugar: { lotCode: '', weighed: '38.4' },
    })
    const parsed = rubInput.parse(body.value)
    expect(parsed).toMatchObject({
      agent: { lotCode: 'N-0001', weighed: { netG: 9.2 } },
      fridgeId: 7,
      meatScaleId: 1,
      mixScaleId: 2,
      targets: { saltShare: 0.025 },
    })
  })
})

const MORE: BenchView = {
  ...VIEW,
  ingredients: [
    ...VIEW.ingredients,
    lot('N-0004', 'spice', {
      name: 'Soy sauce',
      composition: { saltFraction: 0.16, sugarFraction: 0.02, waterFraction: 0.7 },
      allergens: ['soy', 'wheat'],
    }),
    lot('N-0005', 'spice', { name: 'Fennel' }),
    lot('N-0006', 'mix', {
      agent: {
        ...CURING_SALT_NO_1,
        nitriteFraction: 0.0045,
        saltFraction: 0.72,
        sugarFraction: 0.28,
        labelTolerance: 0.0002,
      },
      agentKind: 'mix',
      certificate: 'C-1',
    }),
    lot('N-0007', 'curing_salt', {
      agentKind: 'no_2',
      agent: { ...CURING_SALT_NO_1, nitrateFraction: 0.04, saltFraction: 0.8975 },
      certificate: 'C-2',
    }),
    lot('N-0008', 'curing_salt', { bestBefore: '2026-11-01', certificate: 'C-3' }),
  ],
}
const seasoning = (more: object) => ({
  name: '',
  lotCode: 'N-0005',
  per: 'percent' as const,
  amount: '0.4',
  group: 'all' as const,
  weighed: '8',
  ...more,
})

describe('methods, agents and seasonings on the Bench', () => {
  it('says why an agent may not be used, before any weight', () => {
    for (const [lotCode, code] of [
      ['N-0007', 'agent_long_dried_only'],
      ['N-0008', 'agent_expired'],
    ] as const) {
      expect(bench({ pieces: pieces('2 kg'), agent: { lotCode, weighed: '' } }, MORE).agentRefused.value).toMatchObject(
        { code },
      )
    }
    expect(bench({ pieces: pieces('2 kg') }, MORE).agentRefused.value).toBeNull()
  })
  it('counts a seasoning\'s salt, and sends whom it is for', () => {
    const { made, body, draft } = bench(
      {
        pieces: [...pieces('1 kg'), { meatCode: 'M-0001', weight: '1 kg', group: 'B' }],
        seasonings: [seasoning({ lotCode: 'N-0004', per: 'g_per_kg', amount: '20' }), seasoning({ group: 'B' })],
      },
      MORE,
    )
    expect(made.value!.saltG).toBeCloseTo(50 - made.value!.agentG * 0.9375 - 40 * 0.16, 1)
    expect(made.value!.seasonings[1]!.perPieceG).toEqual([0, 4])
    expect(body.value.seasonings.map(s => s.pieces)).toEqual([null, [2]])
    draft.value.pieces[1]!.group = 'A'
    expect(body.value.seasonings[1]!.pieces).toEqual([])
  })
  it('a bulk mix brings its own salt: nothing is weighed beside it', () => {
    const { made, body, planned } = bench(
      { pieces: pieces('2 kg'), agent: { lotCode: 'N-0006', weighed: '66.7' } },
      MORE,
    )
    expect(made.value).toMatchObject({ saltG: 0, sugarG: 0, agentG: 66.7 })
    expect(planned.value?.lot?.ppm).toBeCloseTo(150, 0)
    expect(body.value).toMatchObject({ salt: null, sugar: null, fromAgentOnly: true })
  })
  it('bags hold what their pieces get; equal scoops give the light piece more', () => {
    const { bags, made, scoops } = bench({
      pieces: [
        { meatCode: 'M-0001', weight: '1 kg', bag: 1 },
        { meatCode: 'M-0001', weight: '1 kg', bag: 1 },
        { meatCode: 'M-0001', weight: '2 kg', bag: 2 },
      ],
    })
    expect(bags.value.map(bag => bag.mixG / made.value!.mixG)).toEqual([0.5, 0.5])
    expect(scoops.value[0]!.ppm / scoops.value[2]!.ppm).toBeCloseTo(2, 9)
  })
  it('wet cures hang at their equilibrium, two applications count the rest as planned', () => {
    const wet = bench({
      pieces: pieces('2 kg'),
      method: 'wet_equilibrium',
      targetPpm: 110,
      agent: { lotCode: '', weighed: '5.4' },
      salt: { lotCode: '', weighed: '72' },
      water: '1 kg',
    })
    expect(wet.planned.value).toMatchObject({ meaning: 'exact', row: { maxPpm: 120 } })
    // Half a division of 0.1 g in meat and brine together.
    expect(Math.abs(wet.planned.value!.lot!.ppm - 110)).toBeLessThan((0.05 * 62_500) / 3000)
    expect(wet.weighed.value!.lot!.ppm).toBeCloseTo((1e6 * 5.4 * 0.0625) / (3000 + 77.4), 6)
    const two = bench({
      pieces: pieces('2 kg'),
      method: 'two_applications',
      agent: { lotCode: '', weighed: '2.4' },
      salt: { lotCode: '', weighed: '22.7' },
    })
    expect(two.weighed.value).toMatchObject({ meaning: 'exact', status: 'inside' })
    expect(two.weighed.value!.lot!.ppm).toBeCloseTo(two.planned.value!.lot!.ppm, 0)
  })
  it('judges by the rule set in force, and by the row that was chosen', () => {
    const uk = { ...MORE, rules: SHIPPED_RULES.find(rules => rules.id === 'uk')! }
    const { planned, choices, draft } = bench({ pieces: pieces('2 kg'), targetPpm: 160 }, uk)
    expect(planned.value).toMatchObject({ status: 'above_limit', maxPpm: 150 })
    expect(choices.value.map(row => row.id)).toEqual(['uk-traditional'])
    draft.value.choiceId = 'uk-traditional'
    expect(planned.value).toMatchObject({ status: 'inside', residual: [{ maxPpm: 175 }] })
  })
  it('a recipe from the book is laid over the draft: the meat stays, lots are found by name', () => {
    const recipe = STARTERS.find(r => r.name === 'Smoky strip shoulder')!
    const book = {
      code: 'R-0006',
      name: recipe.name,
      retired: false,
      revisions: [{ id: 9, number: 3, recipe, note: null, atMs: 0, by: 'A', made: 0, lots: [] }],
    }
    const made = applyRecipe({ ...emptyBench(), pieces: pieces('2 kg') }, book, 9, {
      ingredients: MORE.ingredients,
      today: MORE.today,
    })
    expect(made).toMatchObject({
      saltShare: '2.6',
      sugarShare: '1.2',
      pieces: [{ weight: '2 kg' }],
      recipe: { code: 'R-0006', revisionId: 9, number: 3 },
    })
    expect(made.seasonings.map(s => s.lotCode)).toEqual(['', '', 'N-0004'])
  })
})
