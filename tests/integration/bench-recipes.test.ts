import { describe, expect, it } from 'vitest'
import { STARTERS } from '../../shared/recipes/starters'
import { BenchShop } from '../support/bench-shop'
import { rub } from '../support/goods'
import { INSPECTOR } from '../support/shop'

const here = new BenchShop()

describe('the recipe book', () => {
  const recipe = { ...STARTERS[0]!, name: 'House streaky' }
  it('starts with ten, keeps every revision, and refuses one that changes nothing', async () => {
    expect((await here.maker.get('/api/recipes')).body).toHaveLength(10)
    const made = await here.code({ recipe, note: null }, '/api/recipes')
    expect(await here.maker.post('/api/recipes', { recipe, note: null })).toMatchObject({ body: { code: 'name_taken' } })
    expect(await here.maker.post(`/api/recipes/${made}/revisions`, { recipe, note: null })).toMatchObject({
      body: { code: 'recipe_unchanged' },
    })
    expect(
      await here.maker.post(`/api/recipes/${made}/revisions`, {
        recipe: { ...recipe, sugarShare: 0.008 },
        note: 'less sweet',
      }),
    ).toMatchObject({ body: { number: 2 } })
    const find = async () => (await here.maker.get('/api/recipes')).body.find((one: { code: string }) => one.code === made)
    const { revisions } = await find()
    expect(revisions.map((one: { recipe: { sugarShare: number } }) => one.recipe.sugarShare)).toEqual([0.008, 0.01])
    const lot = await here.code(rub(here.stocked, { recipeRevisionId: revisions[1].id }), '/api/lots')
    expect((await here.view(lot)).recipe).toEqual({ code: made, name: 'House streaky', number: 1 })
    expect((await find()).revisions[1].lots).toEqual([lot])
    expect(await here.maker.put(`/api/recipes/${made}/retired`, { retired: true })).toMatchObject({ status: 200 })
    expect((await here.maker.get('/api/bench')).body.recipes.some((one: { code: string }) => one.code === made)).toBe(false)
    const inspector = await here.shop.signedIn(INSPECTOR)
    expect(await inspector.post(`/api/recipes/${made}/revisions`, { recipe, note: null })).toMatchObject({
      status: 403,
    })
  })
  it('a file goes out and comes in again the same; a taken name stands beside', async () => {
    const file = { format: 'veldmoor-recipes', version: 1, recipes: STARTERS.slice(0, 2) }
    const { codes } = (await here.maker.post('/api/recipes/import', file)).body
    const all = (await here.maker.get('/api/recipes')).body
    const came = codes.map((one: string) => all.find((r: { code: string }) => r.code === one).revisions[0].recipe)
    expect(came).toEqual(file.recipes.map(one => ({ ...one, name: `${one.name} (2)` })))
    expect(await here.maker.post('/api/recipes/import', { ...file, format: 'other' })).toMatchObject({
      status: 422,
      body: { errors: [{ code: 'not_a_recipe_file' }] },
    })
  })
})

describe('bench cards', () => {
  it('are laid, changed, rubbed once, and free again when the rub is voided', async () => {
    const card = await here.code({ draft: { pieces: [{ weight: '2 kg' }] }, code: null }, '/api/cards')
    expect(await here.maker.post('/api/cards', { draft: { pieces: [] }, code: card })).toMatchObject({ status: 200 })
    expect((await here.maker.get(`/api/cards/${card}`)).body).toMatchObject({ code: card, draft: { pieces: [] }, lot: null })
    const lot = await here.code(rub(here.stocked, { cardCode: card }), '/api/lots')
    expect((await here.maker.get(`/api/cards/${card}`)).body.lot).toBe(lot)
    expect(await here.post(rub(here.stocked, { cardCode: card }))).toMatchObject({ status: 409, body: { code: 'card_used' } })
    const rubbed = (await here.view(lot)).events.find((one: { kind: string }) => one.kind === 'lot_rubbed')
    expect(await here.owner.post(`/api/events/${rubbed.id}/void`, { reason: 'rubbed the wrong belly' })).toMatchObject({
      status: 200,
    })
    expect((await here.maker.get(`/api/cards/${card}`)).body.lot).toBeNull()
    expect(await here.maker.post('/api/cards', { draft: { pieces: 'x'.repeat(70_000) }, code: null })).toMatchObject({
      status: 422,
    })
  })
})
