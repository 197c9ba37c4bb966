import { readFileSync } from 'node:fs'
import { resolve } from 'node:path'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ingoingNitritePpm } from '#core/cure/ingoing-nitrite'
import { agentType } from '#core/agents/agent-kinds'
import { recipeContract, recipeFile, recipeSchema } from '../contracts/recipes'
import { diffRecipes } from './diff-recipes'
import { scaleRecipe } from './scale-recipe'
import { STARTERS } from './starters'

describe('the ten starters', () => {
  it('are ten, of all cuts and several methods, and the contract takes them', () => {
    expect(STARTERS).toHaveLength(10)
    expect(new Set(STARTERS.map(r => r.cut)).size).toBe(4)
    expect(new Set(STARTERS.map(r => r.method)).size).toBeGreaterThanOrEqual(4)
    expect(new Set(STARTERS.map(r => r.name)).size).toBe(10)
    expect(recipeFile.parse({ format: 'veldmoor-recipes', version: 1, recipes: STARTERS }).recipes).toEqual(STARTERS)
  })
  it.each(STARTERS.map(r => [r.name, r] as const))('%s comes out for any meat', (_name, recipe) => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 300, max: 9000 }), { minLength: 1, maxLength: 8 }), (piecesG) => {
        const made = scaleRecipe(recipe, piecesG, 0.1)
        if (!made.ok) throw new Error(made.code)
        expect(made.value.totalSaltShare).toBeCloseTo(recipe.saltShare, 2)
        if (recipe.agent && recipe.method !== 'wet_equilibrium') {
          const ppm = ingoingNitritePpm(made.value.greenWeightG, [
            { ...agentType(recipe.agent).usual, massG: made.value.agentG },
          ])
          expect(Math.abs(ppm - recipe.nitritePpm)).toBeLessThanOrEqual(
            (1e6 * 0.05 * agentType(recipe.agent).usual.nitriteFraction) / made.value.greenWeightG + 1e-9,
          )
        }
      }),
    )
  })
})

describe('flavours of their own', () => {
  const spice = (group: 'A' | 'B' | 'C' | 'D') => ({
    name: `Spice ${group}`,
    per: 'g_per_piece' as const,
    amount: 6,
    saltFraction: 0,
    sugarFraction: 0,
    waterFraction: 0,
    allergens: [],
    group,
  })
  const shares = (groups: ('A' | 'B' | 'C' | 'D')[], pieces: number) => {
    const made = scaleRecipe(
      { ...STARTERS[0]!, seasonings: groups.map(spice) },
      Array.from({ length: pieces }, () => 1000),
      0.1,
    )
    if (!made.ok) throw new Error(made.code)
    return made.value.seasonings.map(s => s.perPieceG.map(g => Math.round(g)))
  }
  it('one mark is half of the pieces; two share them; of an odd number the first has one more', () => {
    expect(shares(['A'], 4)).toEqual([[6, 6, 0, 0]])
    expect(shares(['A', 'B'], 5)).toEqual([
      [6, 6, 6, 0, 0],
      [0, 0, 0, 6, 6],
    ])
  })
  it('each piece has exactly one of four', () => {
    for (const pieces of [4, 7, 11])
      expect(shares(['A', 'B', 'C', 'D'], pieces).reduce((sum, one) => sum.map((g, i) => g + one[i]!))).toEqual(
        Array.from({ length: pieces }, () => 6),
      )
  })
})

describe('the difference between revisions', () => {
  const [first] = STARTERS
  it('is nothing for the same, and each change once', () => {
    expect(diffRecipes(first!, structuredClone(first!))).toEqual([])
    const pepper = {
      name: 'Black pepper, cracked',
      per: 'percent' as const,
      amount: 0.3,
      saltFraction: 0,
      sugarFraction: 0,
      waterFraction: 0,
      allergens: [],
      group: 'all' as const,
    }
    const after = { ...first!, sugarShare: 0.008, seasonings: [pepper] }
    expect(diffRecipes(first!, after)).toEqual([
      { field: 'sugarShare', before: 0.01, after: 0.008 },
      { field: 'seasoning', before: null, after: pepper },
    ])
    expect(diffRecipes(after, { ...after, seasonings: [{ ...pepper, amount: 0.5 }] })).toMatchObject([
      { field: 'seasoning', before: { amount: 0.3 }, after: { amount: 0.5 } },
    ])
  })
  it('of a seasoning that is in it twice, either may change', () => {
    const pepper = (amount: number) => ({
      name: 'Pepper',
      per: 'percent' as const,
      amount,
      saltFraction: 0,
      sugarFraction: 0,
      waterFraction: 0,
      allergens: [],
      group: 'all' as const,
    })
    const twice = (a: number, b: number) => ({ ...first!, seasonings: [pepper(a), pepper(b)] })
    expect(diffRecipes(twice(0.3, 0.1), twice(0.3, 0.2))).toEqual([
      { field: 'seasoning', before: pepper(0.1), after: pepper(0.2) },
    ])
    expect(diffRecipes(twice(0.3, 0.1), { ...first!, seasonings: [pepper(0.3)] })).toEqual([
      { field: 'seasoning', before: pepper(0.1), after: null },
    ])
  })
  it('taken the other way is the same with both sides exchanged', () => {
    for (const a of STARTERS) {
      for (const b of STARTERS)
        expect(diffRecipes(b, a).map(c => [c.after, c.before])).toEqual(
          expect.arrayContaining(diffRecipes(a, b).map(c => [c.before, c.after])),
        )
    }
  })
})

describe('a recipe that is wrong is refused where it is wrong', () => {
  it.each([
    [{ agent: null }, ['agent']],
    [{ method: 'salt_only' }, ['agent']],
    [{ saltShare: 0.5 }, ['saltShare']],
    [{ days: { readyFrom: 9, bestBy: 3 } }, ['days']],
    [{ sides: { flesh: 0, fat: 0, edges: 0 } }, ['sides']],
    [{ name: '' }, ['name']],
    [{ nitritePpm: -1 }, ['nitritePpm']],
    [{ extra: 1 }, []],
  ])('%j', (more, path) =>
    expect(recipeContract.safeParse({ ...STARTERS[0], ...more }).error?.issues[0]?.path).toEqual(path),
  )
})

describe('the published schema', () => {
  it('is the contract\'s', () =>
    expect(JSON.parse(readFileSync(resolve(import.meta.dirname, '../../docs/recipes.schema.json'), 'utf8'))).toEqual(
      JSON.parse(JSON.stringify(recipeSchema())),
    ))
})
