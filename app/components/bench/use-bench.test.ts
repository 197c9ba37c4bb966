import { describe, expect, it } from 'vitest'
import { ref } from 'vue'
import { CURING_SALT_NO_1 } from '#core/cure/agent'
import { US_RULES } from '#core/rules/us-rules'
import { rubInput, type BenchView } from '#shared/contracts/lots'
import { emptyBench, type BenchDraft } from './bench-draft'
import { useBench } from './use-bench'

const lot = (code: string, kind: 'curing_salt' | 'salt' | 'sugar', more = {}) => ({
  code, kind, name: kind, supplier: 'S', supplierLot: '1', amountG: 1000, usedG: 0, bestBefore: null, certificate: null,
  agent: kind === 'curing_salt' ? CURING_SALT_NO_1 : null, leftG: 1000, certificateFile: null, openedAtMs: null, receivedAtMs: 0, ...more,
})
const VIEW: BenchView = {
  shop: { name: 'S', zone: 'UTC', houseTargetPpm: 150, turnEveryDays: 1, turnBy: '18:00', confirmed: null }, rules: US_RULES, meat: [],
  ingredients: [lot('N-0009', 'curing_salt', { leftG: 0 }), lot('N-0001', 'curing_salt'), lot('N-0002', 'salt'), lot('N-0003', 'sugar')],
  scales: [{ id: 1, name: 'M', purpose: 'meat', readabilityG: 5, state: 'checked' }, { id: 2, name: 'F', purpose: 'mix', readabilityG: 0.1, state: 'checked' }, { id: 3, name: 'K', purpose: 'mix', readabilityG: 1, state: 'checked' }],
  fridges: [{ id: 7, name: 'Cold room' }],
}
const bench = (more: Partial<BenchDraft>) => {
  const draft = ref<BenchDraft>({ ...emptyBench(), meatCode: 'M-0001', ...more })
  return { draft, ...useBench(draft, ref(VIEW)) }
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
    for (const key of ['mixG', 'agentG', 'saltG', 'sugarG'] as const) expect(shares.value.reduce((sum, share) => sum + share[key], 0)).toBeCloseTo(made[key], 9)
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
    const { planned, plan, body } = bench({ pieces: pieces('2 kg'), saltOnly: true })
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
    const { body } = bench({ pieces: pieces('1840', '2 kg'), agent: { lotCode: '', weighed: '9.2' }, salt: { lotCode: '', weighed: '87.4' }, sugar: { lotCode: '', weighed: '38.4' } })
    const parsed = rubInput.parse(body.value)
    expect(parsed).toMatchObject({ agent: { lotCode: 'N-0001', weighed: { netG: 9.2 } }, fridgeId: 7, meatScaleId: 1, mixScaleId: 2, targets: { saltShare: 0.025 } })
  })
})
