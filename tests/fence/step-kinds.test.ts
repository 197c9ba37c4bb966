import { readdirSync } from 'node:fs'
import { resolve } from 'node:path'
import { describe, expect, it } from 'vitest'
import { KINDS, STEP_KINDS } from '../../core/life/kinds/all-kinds'
import { ASKS, DONE, insistedOn, laidOf, stepInput, TOLD_KINDS, type AskName } from '../../shared/steps/all-told'

const ROOT = resolve(import.meta.dirname, '../..')
const files = (folder: string) => readdirSync(resolve(ROOT, folder)).filter(name => !name.includes('.test.'))
const asks = Object.keys(ASKS) as AskName[]
/** Asks that one tap tells: they have no form. */
const ONE_TAP: AskName[] = ['turn', 'massaged', 'out']
const formOf = (ask: AskName) =>
  `${(ASKS[ask].form ?? ask).split('_').map(word => word[0]!.toUpperCase() + word.slice(1)).join('')}Form.vue`

describe('a kind of step, in every room', () => {
  it.each(STEP_KINDS.filter(kind => !TOLD_KINDS.includes(kind as never)))(
    '%s, which no press tells, stands with rows of its own',
    kind => expect(KINDS[kind].traits).toContain('withOthers'),
  )
  it.each(TOLD_KINDS)('%s is told: it says what was done, and something asks for it', (kind) => {
    expect(DONE[kind]).toMatch(/^[a-z]/)
    expect(KINDS[kind].stages.length).toBeGreaterThan(0)
  })
  it('each is in a file of its own, in the core and beside its contract', () => {
    const fileOf = (kind: string) => `${kind.replaceAll('_', '-')}.ts`
    for (const kind of STEP_KINDS) expect(files('core/life/kinds')).toContain(fileOf(kind))
    for (const kind of TOLD_KINDS) expect(files('shared/steps')).toContain(fileOf(kind))
  })
  it.each(asks.filter(ask => !ONE_TAP.includes(ask)))('%s has a form', ask =>
    expect(files('app/components/steps/forms')).toContain(formOf(ask)))
  it('no form stands there that nothing asks for', () => {
    const asked = new Set(asks.map(formOf))
    expect(files('app/components/steps/forms').filter(form => !asked.has(form))).toEqual([])
  })
  it('what stands in a menu is named once in each', () => {
    for (const menu of ['cure', 'after', 'hangs'] as const) {
      const words = asks.flatMap(ask => ASKS[ask].menu?.[menu] ?? [])
      expect(new Set(words).size, menu).toBe(words.length)
    }
  })
})

describe('a step that is insisted on', () => {
  it('says so where its kind may be asked back, and is as it was where not', () => {
    const [soak, fry] = [
      { kind: 'soak', minutes: 30, litres: null, water: null, changes: 0 },
      { kind: 'fry_test', salt: 3, verdict: 'done' },
    ] as const
    expect(insistedOn([soak, fry])).toEqual([soak, { ...fry, sure: true }])
    for (const step of insistedOn([soak, fry])) expect(stepInput.safeParse(step).success).toBe(true)
  })
  it('lays the same figures down', () => {
    const told = stepInput.parse({ kind: 'fry_test', salt: 2, verdict: 'again', sure: true })
    expect(laidOf(told, { syrup: false, readabilityG: 1 })).toEqual({ kind: 'fry_test', figures: { salt: 2, verdict: 'again' } })
  })
})
